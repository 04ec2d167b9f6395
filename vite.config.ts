import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const here = dirname(fileURLToPath(import.meta.url));

export default defineConfig({
  root: join(here, 'web'),
  plugins: [react(), tailwind()],
  build: {
    outDir: join(here, 'dist/web'),
    emptyOutDir: true,
    chunkSizeWarningLimit: 700,
    rolldownOptions: { input: { desk: join(here, 'web/index.html'), shop: join(here, 'web/shop.html') } },
  },
});
