/** How a written text's own paragraphs, lists and tables look. */
export const markedUp =
  'break-words [&_a]:text-press [&_a]:underline [&_h3]:mt-4 [&_h3]:font-semibold [&_ol]:mt-2 [&_ol]:list-decimal [&_ol]:pl-5 [&_p]:mt-2 [&_table]:mt-2 [&_td]:py-1 [&_td]:pr-4 [&_th]:pr-4 [&_th]:text-left [&_tr]:border-t [&_ul]:mt-2 [&_ul]:list-disc [&_ul]:pl-5';
