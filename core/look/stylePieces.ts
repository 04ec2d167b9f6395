/**
 * What a style sheet may take hold of, by its `part`: the same names for a merchandiser's own style (`[part~="card"]`) and
 * for the page that the shop stands in (`clever-shelf::part(card)`). Names stay; classes of the shop change with it.
 */
export const stylePieces = [
  ['page', 'everything that results are shown in'],
  ['heading', 'what was searched for'],
  ['count', 'how many products there are'],
  ['sorting', 'the sorting menu'],
  ['filters', 'all filters'],
  ['results', 'the shelves'],
  ['card', 'a product'],
  ['picture', 'the ground of its picture'],
  ['badge', 'a badge'],
  ['title', 'its title'],
  ['brand', 'its brand'],
  ['details', 'the lines of attributes'],
  ['text', 'its short text'],
  ['variants', 'its variants'],
  ['price', 'its price'],
  ['former-price', 'its former price'],
  ['rating', 'its rating'],
  ['ratings', 'how many ratings it has'],
  ['stock', 'whether it is in stock'],
  ['add', 'the button into the basket'],
  ['wish', 'the button for the wish list'],
  ['compare', 'the button to compare'],
  ['pages', 'the pages below'],
  ['box', 'the search box'],
] as const;
