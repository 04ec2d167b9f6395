/** Widths in pixels that pictures kept or fetched by this server can be had in, ascending. */
export const pictureWidths = [160, 320, 640, 1280] as const;
