import { lazyPart } from './lazyPart.ts';
import type { UnitChange } from '@steady-scatter/core/quantities';
import { ChevronDown } from 'lucide-react';
import { say } from '@steady-scatter/words/common';

import { UNDERLINE } from './origin.ts';
import { PanelButton } from './PanelButton.tsx';

const UnitChoices = lazyPart(() => import('./UnitChoices.tsx'));

/** One unit to choose, and what the typed text would become each way; null while nothing readable is typed. */
export interface UnitOption<Id extends string> {
  readonly id: Id;
  readonly symbol: string;
  readonly preview: ((change: UnitChange) => string) | null;
}

interface Props<Id extends string> {
  /** What the unit belongs to, for people who listen: "unit of the need". */
  label: string;
  current: Id;
  /** The text beside the arrow: the unit while the number is bare, nothing when the text names it. */
  shown: string;
  options: readonly UnitOption<Id>[];
  /** Draws the underline of a typed term. */
  underlined?: boolean;
  onPick(id: Id, change: UnitChange): void;
}

/** Changes a unit in place: converts the value or keeps the number, whichever the person says. */
export function UnitPicker<Id extends string>({
  label,
  shown,
  underlined = false,
  onPick,
  ...rest
}: Props<Id>) {
  const words = say('common.changeUnitOf', { label });
  return (
    <PanelButton
      aria-label={`${words}${shown && say('common.nowShown', { shown })}`}
      {...(underlined && { color: 'ink', borderColor: 'ink', css: UNDERLINE.typed })}
      renderPanel={(place) => (
        <UnitChoices
          {...rest}
          place={place}
          label={words}
          onPick={(id, change) => onPick(id as Id, change)}
        />
      )}
    >
      {shown}
      <ChevronDown size={16} aria-hidden />
    </PanelButton>
  );
}
