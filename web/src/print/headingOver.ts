import type { Content, Node, NodeQueries } from 'pdfmake/interfaces';

/** A heading over a table. It goes to the next page with what it is over, see `standsAlone`. */
export const headingOver = (text: string): Content => ({
  text,
  bold: true,
  fontSize: 13,
  margin: [0, 12, 0, 4],
  headlineLevel: 1,
});

/** What stays together with the first line under it, and whole lines. */
export const WHOLE_LINES = { headerRows: 1, keepWithHeaderRows: 1, dontBreakRows: true } as const;

/** A heading that would be the last thing on its page. */
export const standsAlone = (
  { headlineLevel }: Pick<Node, 'headlineLevel'>,
  { getFollowingNodesOnPage }: Pick<NodeQueries, 'getFollowingNodesOnPage'>,
): boolean => headlineLevel !== undefined && getFollowingNodesOnPage().length === 0;
