/** Any colour that a style sheet may say, as #rrggbb; null for none, and for one that is seen through. */
export function hexOf(text: string): string | null {
  if (!CSS.supports('color', text)) return null;
  const pen = new OffscreenCanvas(1, 1).getContext('2d')!;
  pen.fillStyle = text;
  pen.fillRect(0, 0, 1, 1);
  const [red, green, blue, alpha] = pen.getImageData(0, 0, 1, 1).data;
  const parts = [red!, green!, blue!].map((part) => part.toString(16).padStart(2, '0'));
  return alpha === 255 ? `#${parts.join('')}` : null;
}
