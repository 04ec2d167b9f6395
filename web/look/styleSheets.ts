const sheets = new Map<string, CSSStyleSheet>();
/** Styles as a root takes them, read once however many parts there are; a page's own rules on styles do not hold here. */
export function sheetOf(text: string): CSSStyleSheet {
  const known = sheets.get(text);
  if (known) return known;
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(text);
  sheets.set(text, sheet);
  return sheet;
}

const own = new WeakMap<DocumentOrShadowRoot, { readonly sheet: CSSStyleSheet; text: string }>();
/**
 * Puts a merchandiser's own style on the root that the shop is drawn in, in place of the one before. It stands in no layer,
 * so it goes before what comes with the shop.
 */
export function wearOwnStyle(root: DocumentOrShadowRoot, text: string): void {
  const known = own.get(root);
  if (text === (known?.text ?? '')) return;
  const worn = known ?? { sheet: new CSSStyleSheet(), text: '' };
  own.set(root, worn);
  worn.sheet.replaceSync(text);
  worn.text = text;
  if (!root.adoptedStyleSheets.includes(worn.sheet)) root.adoptedStyleSheets.push(worn.sheet);
}
