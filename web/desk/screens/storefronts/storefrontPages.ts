/** The pages about storefronts as wholes. */
export const storefrontPages = [
  { to: '/storefronts', label: 'All storefronts' },
  { to: '/storefronts/embedding', label: 'Into your shop' },
] as const;
