import { Box, Button, Stack } from '@chakra-ui/react';
import type { Term } from '@steady-scatter/core/working';
import { nameOf, say, speak } from '@steady-scatter/words/common';
import type { PanelPlace } from './PanelButton.tsx';
import type { ShowIn } from './ResultTerm.tsx';
import { SmallPanel } from './SmallPanel.tsx';

type Props = { place: PanelPlace; term: Term; label: string; showIn?: ShowIn | undefined };

/** Where a worked-out value comes from, its figures before rounding, and the units it can be shown in. */
export default function ResultDetails({ place, term, label, showIn }: Props) {
  const choices = showIn ? [{ id: null, symbol: say('common.notSetHere') }, ...showIn.options] : [];
  return (
    <SmallPanel place={place} label={label} width="280px">
      <Box fontSize="14px" color="ink.soft">
        {label}, {nameOf('origin', term.origin)}
      </Box>
      {term.unrounded && (
        <Box fontVariantNumeric="tabular-nums">
          {say('common.beforeRounding', { unrounded: speak(term.unrounded) })}
        </Box>
      )}
      <Stack gap="4px" marginTop="10px" direction="row" flexWrap="wrap">
        {choices.map(({ id, symbol }) => (
          <Button
            key={symbol}
            size="xs"
            aria-pressed={showIn?.chosen === id}
            variant={showIn?.chosen === id ? 'solid' : 'outline'}
            onClick={() => showIn?.onPick(id)}
          >
            {symbol}
          </Button>
        ))}
      </Stack>
    </SmallPanel>
  );
}
