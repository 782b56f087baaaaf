import { Box, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/bench';
import { NameLink } from '../../ui/NameLink.tsx';
import type { Compared } from './compared.ts';

/** Settings that a curve needs. */
const MIN_SETTINGS = 2;

export const settingsTested = ({ on }: Compared): number => on.reading.means.length;
export const isComparable = (one: Compared): boolean => settingsTested(one) >= MIN_SETTINGS;

/** What one still lacks to be compared. */
function lackOf(one: Compared): string {
  if (!one.on.rig) return say('bench.compare.lacksMachine');
  if (one.on.bench.spray) return say('bench.compare.sprays');
  if (one.on.bench.scale.marks.length < MIN_SETTINGS) return say('bench.compare.lacksScale');
  return say('bench.compare.lacksTests', { count: settingsTested(one) });
}

/** The calibrations that have no curve yet, each with what it lacks. */
export function NotCompared({ those }: { those: readonly Compared[] }) {
  if (those.length === 0) return null;
  return (
    <Box as="section" aria-label={say('bench.compare.notYet')} marginTop="18px" fontSize="16px">
      <chakra.h2 fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('bench.compare.notYet')}
      </chakra.h2>
      <Box as="ul" listStyleType="none">
        {those.map((one) => (
          <Box as="li" key={one.id} paddingY="6px" borderTopWidth="1px" borderColor="line">
            <NameLink to={`/bench/${one.id}`}>{one.input.name}</NameLink>
            <Box color="ink.soft" fontSize="15px">
              {lackOf(one)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
