import {
  type Atrule,
  type CssNode,
  type Declaration,
  find,
  generate,
  ident,
  lexer,
  parse,
  property,
  type Rule,
  type StyleSheet,
  walk,
} from 'css-tree';
import { balanced } from './balancedStyle.ts';

/** What is wrong with a merchandiser's own style, in words, and where it begins, counted from 1. */
export interface StyleProblem {
  readonly line: number;
  readonly column: number;
  readonly says: string;
}
/** An own style as the shop puts it on, and what of it was left out. */
export interface OwnStyle {
  /** Style sheet text made anew from what was understood; empty where nothing was. */
  readonly style: string;
  readonly problems: readonly StyleProblem[];
}

/** Problems that are told at once. */
const mostTold = 50;
/** Rules about rules that cannot reach beyond the shop. */
const groups: ReadonlySet<string> = new Set(['media', 'supports', 'container']);
/** Functions of values that fetch something, by what they are called without a maker's prefix. */
const fetching: ReadonlySet<string> = new Set(['url', 'src', 'image', 'image-set', 'element', 'paint', 'cross-fade']);
/** Parts of selectors that mean what is outside the shop, or within it something of the page around. */
const outside: ReadonlySet<string> = new Set(['host', 'host-context', 'slotted', 'root', 'part', 'scope']);
/** Elements that the shop stands in. */
const around: ReadonlySet<string> = new Set(['html', 'body']);
const bare = (name: string): string => name.replace(/^-[a-z]+-/, '').toLowerCase();
const hasEscape = (name: string): boolean => name.includes('\\');

/** What a value does that no style of the shop may do; null where it does nothing of the kind. */
function forbiddenIn(value: CssNode): string | null {
  const found = find(
    value,
    (node) =>
      node.type === 'Url' ||
      node.type === 'Raw' ||
      (node.type === 'Function' && (hasEscape(node.name) || fetching.has(bare(ident.decode(node.name))))),
  );
  if (!found) return null;
  if (found.type === 'Raw') return 'This value cannot be read';
  return 'Nothing may be fetched: pictures and letters come with the shop';
}

function wrongIn(declaration: Declaration): string | null {
  const { property: name, value } = declaration;
  if (hasEscape(name)) return `“${name}” is no property`;
  const forbidden = forbiddenIn(value);
  if (forbidden) return forbidden;
  if (name.startsWith('--')) return null;
  const plain = bare(name);
  if (plain === 'behavior' || plain === 'binding') return `“${name}” may not be used`;
  if (plain === 'position' && generate(value).toLowerCase().includes('fixed'))
    return 'Nothing may lie over the page: “position: fixed” is left out';
  if (!property(name).vendor && !lexer.getProperty(name)) return `“${name}” is no property`;
  // What a variable stands for is known only in the browser.
  if (find(value, (node) => node.type === 'Function' && node.name.toLowerCase() === 'var')) return null;
  const { error } = lexer.matchDeclaration(declaration);
  return error && !property(name).vendor ? `“${generate(value)}” is no value of “${name}”` : null;
}

/** Why a selector is not taken; null where it is. */
function wrongAbout(prelude: CssNode): string | null {
  if (prelude.type !== 'SelectorList') return 'This selector cannot be read';
  let says: string | null = null;
  walk(prelude, (node) => {
    if (says !== null) return;
    if (node.type === 'Raw') says = 'This selector cannot be read';
    if (node.type === 'NestingSelector') says = 'Write rules one after the other, not within each other';
    if (node.type === 'TypeSelector' && around.has(ident.decode(node.name).toLowerCase()))
      says = `“${node.name}” stands around the shop: begin with a piece of it`;
    if (
      (node.type === 'PseudoClassSelector' || node.type === 'PseudoElementSelector') &&
      outside.has(ident.decode(node.name).toLowerCase())
    )
      says = `“:${node.name}” is outside the shop`;
    // A browser writes what is typed there.
    if (node.type === 'AttributeSelector' && ident.decode(node.name.name).toLowerCase() === 'value')
      says = 'What is typed cannot be asked for';
  });
  return says;
}

/**
 * Reads a merchandiser's own style sheet. What is not understood, would fetch something, lies over the page around or means
 * what is outside the shop is left out and told; all else is written anew, so nothing comes through that was not understood.
 * Never throws. Cost: a pass over the text.
 */
export function readOwnStyle(css: string): OwnStyle {
  const whole = balanced(css);
  if ('wrongAt' in whole) {
    const before = css.slice(0, whole.wrongAt).split('\n');
    const says = 'A bracket, quotation mark or comment has no match: until it has, nothing of the style is taken';
    return { style: '', problems: [{ line: before.length, column: before.at(-1)!.length + 1, says }] };
  }
  const problems: StyleProblem[] = [];
  const tell = (node: Pick<CssNode, 'loc'>, says: string): void => {
    const { line, column } = node.loc?.start ?? { line: 1, column: 1 };
    problems.push({ line, column, says });
  };
  const sheet = parse(whole.css, {
    positions: true,
    parseCustomProperty: true,
    onParseError: ({ line, column }: SyntaxError & { line: number; column: number }) =>
      problems.push({ line, column, says: 'This cannot be read, up to the end of the rule or line' }),
  }) as StyleSheet;
  /** Leaves out of a block what may not be there. */
  const keep = (node: CssNode, within: 'rules' | 'steps'): boolean => {
    if (node.type === 'Comment') return false;
    if (node.type === 'Rule') return keepRule(node, within);
    if (node.type === 'Atrule') return within === 'rules' && keepGroup(node);
    if (node.type === 'Raw') {
      // A comment behind the last rule is raw to the reader as well.
      if (generate(node).trim() && !problems.some(({ line }) => line === node.loc?.start.line))
        tell(node, 'This cannot be read');
      return false;
    }
    tell(node, 'This does not belong here');
    return false;
  };
  const keepRule = (rule: Rule, within: 'rules' | 'steps'): boolean => {
    const wrong = within === 'steps' ? null : wrongAbout(rule.prelude);
    if (wrong) {
      tell(rule, wrong);
      return false;
    }
    rule.block.children.forEach((node, item, list) => {
      let says: string | null = null;
      if (node.type === 'Declaration') says = wrongIn(node);
      else if (node.type === 'Comment' || node.type === 'Raw') says = '';
      else says = 'Write rules one after the other, not within each other';
      if (says === null) return;
      if (says) tell(node, says);
      list.remove(item);
    });
    return !rule.block.children.isEmpty;
  };
  const keepGroup = (rule: Atrule): boolean => {
    const name = rule.name.toLowerCase();
    const isSteps = bare(name) === 'keyframes';
    if (!rule.block || hasEscape(name) || !(groups.has(name) || isSteps)) {
      tell(rule, `“@${rule.name}” is left out: only @media, @supports, @container and @keyframes are taken`);
      return false;
    }
    if (!rule.prelude || forbiddenIn(rule.prelude)) {
      tell(rule, `What “@${rule.name}” asks for cannot be read`);
      return false;
    }
    rule.block.children.forEach((node, item, list) => {
      if (!keep(node, isSteps ? 'steps' : 'rules')) list.remove(item);
    });
    return !rule.block.children.isEmpty;
  };
  sheet.children.forEach((node, item, list) => {
    if (!keep(node, 'rules')) list.remove(item);
  });
  problems.sort((a, b) => a.line - b.line || a.column - b.column);
  return { style: generate(sheet), problems: problems.slice(0, mostTold) };
}
