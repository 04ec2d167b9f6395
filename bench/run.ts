export {};

/** npm run bench: speed beside other libraries. npm run bench -- quality: known items on real records. */
const [which, ...rest] = process.argv.slice(2);
if (which === 'quality') (await import('./quality/run.ts')).runQuality(rest);
else await import('./speed.ts');
