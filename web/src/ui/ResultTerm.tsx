import { lazyPart } from './lazyPart.ts';
import { chakra } from '@chakra-ui/react';
import { memo } from 'react';
import { bandText, MISSING, termText, type Term } from '@steady-scatter/core/working';
import { speak } from '@steady-scatter/words/common';

import { useFigures } from './currency.ts';
import { UNDERLINE } from './origin.ts';
import { PanelButton } from './PanelButton.tsx';

const ResultDetails = lazyPart(() => import('./ResultDetails.tsx'));

/** The units that a worked-out value can be shown in. */
export interface ShowIn {
  readonly options: readonly { id: string; symbol: string }[];
  /** The unit set on this sheet, or null while it follows what was typed or is preferred. */
  readonly chosen: string | null;
  onPick(id: string | null): void;
}

function Figures({ term }: { term: Term }) {
  const figures = useFigures();
  return (
    <chakra.span
      whiteSpace="nowrap"
      color={term.strong ? 'ink' : undefined}
      css={term.strong ? undefined : UNDERLINE[term.origin]}
    >
      <chakra.span fontWeight={term.strong ? 'bold' : 'inherit'} fontVariantNumeric="tabular-nums">
        {term.shown ? figures(term.shown) : MISSING}
      </chakra.span>
      {term.shown && (term.shown.unit || term.of) && (
        <chakra.span color="ink.soft" fontWeight="inherit">
          {' '}
          {[term.shown.unit, term.of && speak(term.of)].filter(Boolean).join(' ')}
          {bandText(term.shown)}
        </chakra.span>
      )}
    </chakra.span>
  );
}

/** A term that is not typed. With a value it opens to tell its origin, its figures before rounding, and other units. */
export const ResultTerm = memo(function ResultTermOf({
  term,
  label,
  showIn,
}: {
  term: Term;
  label: string;
  showIn?: ShowIn | undefined;
}) {
  const figures = useFigures();
  if (!term.shown || (!term.unrounded && !showIn)) return <Figures term={term} />;
  const heard = termText({ ...term, shown: { ...term.shown, number: figures(term.shown) } }, speak);
  return (
    <PanelButton
      color="inherit"
      textAlign="inherit"
      aria-label={`${label}: ${heard}`}
      renderPanel={(place) => <ResultDetails place={place} term={term} label={label} showIn={showIn} />}
    >
      <Figures term={term} />
    </PanelButton>
  );
});
