import { expect, it } from 'vitest';
import { headingOver, standsAlone } from './headingOver.ts';

const followedBy = (...nodes: object[]) => ({ getFollowingNodesOnPage: () => nodes as never });

it('a heading that would be last on its page goes on to the next; a line does not', () => {
  const heading = headingOver('Sports meadow') as { headlineLevel: number };
  expect(standsAlone(heading, followedBy())).toBe(true);
  expect(standsAlone(heading, followedBy({ text: 'Meadow' }))).toBe(false);
  expect(standsAlone({}, followedBy())).toBe(false);
});
