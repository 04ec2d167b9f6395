/** What a product looks like in the drawn pictures. */
export type Shape =
  | 'tube'
  | 'pan'
  | 'bottle'
  | 'jar'
  | 'brush'
  | 'flatBrush'
  | 'pencil'
  | 'pen'
  | 'marker'
  | 'stick'
  | 'paper'
  | 'book'
  | 'canvas'
  | 'easel'
  | 'lamp'
  | 'box'
  | 'knife'
  | 'roller'
  | 'palette'
  | 'block';

const shadow = (y: number, width: number): string =>
  `<ellipse cx="60" cy="${y}" rx="${width}" ry="4" fill="#00000012"/>`;
const wood = '#c9a06a';
const metal = '#b9bec4';
const dark = '#2b2e36';
const cream = '#f4f1ea';
const edge = '#cfc8b8';

const bodies: Record<Shape, (colour: string) => string> = {
  tube: (c) =>
    `${shadow(82, 32)}<path d="M44 10h32l4 52H40z" fill="${cream}" stroke="${edge}"/><path d="M42.4 28h35.2l1.9 24H40.4z" fill="${c}"/><path d="M40 62h40v5H40z" fill="#dcd5c5"/><rect x="50" y="67" width="20" height="12" rx="2" fill="${dark}"/>`,
  pan: (c) =>
    `${shadow(79, 36)}<rect x="30" y="26" width="60" height="50" rx="5" fill="#fff" stroke="${edge}"/><rect x="35" y="31" width="50" height="40" rx="3" fill="${c}"/><path d="M39 37q20-7 42 1" stroke="#ffffff66" stroke-width="3" fill="none"/>`,
  bottle: (c) =>
    `${shadow(82, 26)}<rect x="50" y="6" width="20" height="14" rx="2" fill="${dark}"/><path d="M46 20h28l8 16v40q0 4-4 4H42q-4 0-4-4V36z" fill="${c}"/><rect x="43" y="44" width="34" height="22" fill="${cream}"/>`,
  jar: (c) =>
    `${shadow(81, 30)}<rect x="36" y="16" width="48" height="12" rx="2" fill="${dark}"/><rect x="33" y="28" width="54" height="52" rx="6" fill="${c}"/><rect x="33" y="42" width="54" height="22" fill="${cream}"/>`,
  brush: (c) =>
    `${shadow(84, 34)}<path d="M18 76l58-46 5 6-58 46q-6 2-5-6z" fill="${c}"/><path d="M75 30l9-8 6 7-9 8z" fill="${metal}"/><path d="M84 22q12-12 18-12 1 6-12 19z" fill="#6b4a2c"/>`,
  flatBrush: (c) =>
    `${shadow(84, 24)}<rect x="55" y="42" width="10" height="40" rx="5" fill="${c}"/><path d="M46 28h28v14H46z" fill="${metal}"/><path d="M45 8h30v20H45z" fill="#d9c39a"/><path d="M50 8v20M56 8v20M62 8v20M68 8v20" stroke="#b79c6c"/>`,
  pencil: (c) =>
    `${shadow(84, 36)}<path d="M20 70l56-44 7 9-56 44z" fill="${c}"/><path d="M76 26l14-10-7 19z" fill="${wood}"/><path d="M90 16l-5 4 3 4z" fill="${c}"/><path d="M20 70l7 9-8 3z" fill="${metal}"/>`,
  pen: (c) =>
    `${shadow(84, 36)}<path d="M22 72l50-42 8 9-50 42z" fill="${c}"/><path d="M72 30l20-18-12 27z" fill="${metal}"/><path d="M92 12l-12 18" stroke="${dark}" stroke-width="1.5"/>`,
  marker: (c) =>
    `${shadow(84, 22)}<rect x="50" y="30" width="20" height="50" rx="4" fill="${cream}" stroke="${edge}"/><rect x="50" y="48" width="20" height="14" fill="${c}"/><rect x="49" y="8" width="22" height="24" rx="3" fill="${c}"/>`,
  stick: (c) =>
    `${shadow(80, 34)}<g transform="rotate(-28 60 50)"><rect x="18" y="42" width="84" height="18" rx="4" fill="${c}"/><rect x="44" y="42" width="40" height="18" fill="${cream}" stroke="${edge}"/></g>`,
  paper: (c) =>
    `${shadow(84, 36)}<rect x="34" y="16" width="58" height="64" fill="#e9e4d8" stroke="${edge}"/><rect x="28" y="12" width="58" height="64" fill="${c}" stroke="${edge}"/><path d="M36 26h30M36 34h40" stroke="#00000018"/>`,
  book: (c) =>
    `${shadow(84, 34)}<rect x="30" y="10" width="58" height="70" rx="3" fill="${c}"/><rect x="30" y="10" width="9" height="70" fill="#00000030"/><rect x="50" y="24" width="28" height="14" fill="${cream}"/><path d="M88 14v62" stroke="${cream}" stroke-width="3"/>`,
  canvas: (c) =>
    `${shadow(84, 36)}<rect x="24" y="12" width="72" height="66" fill="${wood}"/><rect x="27" y="12" width="69" height="63" fill="${c}" stroke="${edge}"/><path d="M27 12l6 5M96 12l-6 5" stroke="#00000018"/>`,
  easel: (c) =>
    `${shadow(86, 34)}<path d="M60 4L34 86M60 4l26 82M60 4v76" stroke="${c}" stroke-width="5" fill="none"/><path d="M38 58h44" stroke="${c}" stroke-width="6"/><rect x="42" y="22" width="36" height="34" fill="${cream}" stroke="${edge}"/>`,
  lamp: (c) =>
    `${shadow(84, 28)}<path d="M46 80L62 46 44 24" stroke="${dark}" stroke-width="4" fill="none"/><path d="M34 30l22-18 12 16-24 14z" fill="${c}"/><rect x="34" y="78" width="30" height="5" rx="2" fill="${dark}"/>`,
  box: (c) =>
    `${shadow(82, 40)}<path d="M20 34h80v44H20z" fill="${c}"/><path d="M20 34l8-14h64l8 14z" fill="${wood}"/><rect x="52" y="50" width="16" height="8" rx="2" fill="${metal}"/><path d="M20 34h80" stroke="#00000030" stroke-width="2"/>`,
  knife: (c) =>
    `${shadow(82, 36)}<path d="M20 74l30-24 6 8-30 24q-6 1-6-8z" fill="${c}"/><path d="M50 50l12-6 4 6-10 8z" fill="${metal}"/><path d="M62 44q28-30 42-30-6 18-38 36z" fill="#d5d9dd" stroke="${metal}"/>`,
  roller: (c) =>
    `${shadow(84, 30)}<rect x="32" y="14" width="56" height="22" rx="6" fill="${c}"/><path d="M26 25h6M88 25h6v20H60v12" stroke="${metal}" stroke-width="4" fill="none"/><rect x="54" y="56" width="12" height="26" rx="5" fill="${wood}"/>`,
  palette: (c) =>
    `${shadow(82, 38)}<path d="M60 14c28 0 44 14 44 32S88 78 62 78c-10 0-8-8-12-12-6-6-34 2-34-18S36 14 60 14z" fill="${wood}"/><circle cx="46" cy="32" r="7" fill="${c}"/><circle cx="68" cy="28" r="6" fill="#f4c414"/><circle cx="86" cy="40" r="6" fill="#24705a"/><circle cx="36" cy="48" r="5" fill="${cream}"/>`,
  block: (c) =>
    `${shadow(82, 34)}<path d="M28 40l30-18 36 14-30 20z" fill="${c}"/><path d="M28 40v22l36 18V56z" fill="${c}"/><path d="M64 56v24l30-20V36z" fill="${c}"/><path d="M28 40v22l36 18V56z" fill="#00000022"/><path d="M64 56v24l30-20V36z" fill="#00000038"/>`,
};

/** A product's picture as a standalone SVG, drawn from its shape and colour (`#rrggbb`). */
export function drawPicture(shape: Shape, colour: string): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 90">${bodies[shape](colour)}</svg>\n`;
}
