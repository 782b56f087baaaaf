import { Box } from '@chakra-ui/react';
import type { Lot } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/shelf';
import { useLots } from '../kinds/useLots.ts';
import { NameLink } from '../ui/NameLink.tsx';
import { packagesText } from '../kinds/useStock.ts';

/** Where the path of a lot stands. */
export const lotPath = (product: string, lot: string): string => `/shelf/${product}/lots/${encodeURIComponent(lot)}`; // prettier-ignore

const lineOf = ({ received, left, steps }: Lot): string =>
  say('shelf.lots.line', {
    received,
    left: left === null || received === 0 ? 'none' : packagesText(left),
    times: steps.filter(({ what }) => what === 'spread').length,
  });

/** The lots of a product, each in a line that leads to its whole path. */
export function LotList({ product }: { product: string }) {
  const lots = useLots(product)?.lots ?? [];
  if (lots.length === 0) return null;
  return (
    <Box marginTop="14px">
      <Box fontSize="17px" fontWeight="semibold">
        {say('shelf.lots')}
      </Box>
      <Box as="ul" listStyleType="none" fontSize="16px">
        {lots.map((lot) => (
          <Box as="li" key={lot.lot} minHeight="touch" display="flex" gap="10px" alignItems="center">
            <NameLink to={lotPath(product, lot.lot)}>{lot.lot}</NameLink> <span>{lineOf(lot)}</span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
