import {
  placeParts,
  evaluateSiteArea,
  SLOPES,
  SURFACES,
  type LayoutMode,
  type PacesResult,
  type Slope,
  type Surface,
} from '@steady-scatter/core/ground';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { asChoice } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { Section } from '../ui/Section.tsx';
import type { AreaProps } from './AreaSheet.tsx';
import { SIZE_CHOICES } from './units.ts';

const choices = <Id extends string>(table: Readonly<Record<Id, string>>) =>
  (Object.keys(table) as Id[]).map((id) => ({ id, label: table[id] }));

const HOLDS = [
  { id: 'sum', label: 'added up' },
  { id: 'placed', label: 'placed on a plan' },
] as const satisfies readonly { id: LayoutMode; label: string }[];
const TREATED = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no, leave it out' },
] as const;

/** What an area is, besides its size. */
export function AreaFacts({ area, paces, bind, onChange }: AreaProps & { paces: PacesResult }) {
  return (
    <Section heading="What it is">
      <Fields>
        <Choice<Surface> label="Surface" options={choices(SURFACES)} {...bind('surface')} />
        <Choice<Slope> label="Slope" options={choices(SLOPES)} {...bind('slope')} />
        <Choice label="Treated" options={TREATED} {...asChoice(bind('treated'), 'yes', 'no')} />
        <Choice<LayoutMode>
          label="Parts"
          value={area.layoutMode}
          options={HOLDS}
          onChange={(layoutMode) => {
            const parts =
              layoutMode === 'placed'
                ? placeParts(area.parts, evaluateSiteArea(area, paces, '').measured.parts)
                : area.parts;
            onChange({ ...area, layoutMode, parts }, 'layoutMode');
          }}
        />
        <Choice<AreaUnit> label="Size shown in" options={SIZE_CHOICES} {...bind('shownIn')} />
      </Fields>
      <NotesField label="Notes on this area" {...bind('notes')} />
    </Section>
  );
}
