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
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { Section } from '../ui/Section.tsx';
import type { AreaProps } from './AreaSheet.tsx';
import { SIZE_CHOICES } from './units.ts';

const choices = <Id extends string>(table: Readonly<Record<Id, string>>) =>
  (Object.keys(table) as Id[]).map((id) => ({ id, label: table[id] }));

const HOLDS = [
  { id: 'sum', label: 'a sum sheet' },
  { id: 'placed', label: 'a placed drawing' },
] as const satisfies readonly { id: LayoutMode; label: string }[];
const TREATED = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no, leave it out' },
] as const;

/** What an area is, besides its size. */
export function AreaFacts({ area, paces, onChange }: AreaProps & { paces: PacesResult }) {
  return (
    <Section heading="What it is">
      <Fields>
        <Choice<Surface>
          label="Surface"
          value={area.surface}
          options={choices(SURFACES)}
          onChange={(surface) => onChange({ ...area, surface }, 'surface')}
        />
        <Choice<Slope>
          label="Slope"
          value={area.slope}
          options={choices(SLOPES)}
          onChange={(slope) => onChange({ ...area, slope }, 'slope')}
        />
        <Choice
          label="Treated"
          value={area.treated ? 'yes' : 'no'}
          options={TREATED}
          onChange={(treated) => onChange({ ...area, treated: treated === 'yes' }, 'treated')}
        />
        <Choice<LayoutMode>
          label="Held as"
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
        <Choice<AreaUnit>
          label="Size shown in"
          value={area.shownIn}
          options={SIZE_CHOICES}
          onChange={(shownIn) => onChange({ ...area, shownIn }, 'shownIn')}
        />
      </Fields>
      <NotesField
        label="Notes on this area"
        value={area.notes}
        onChange={(notes) => onChange({ ...area, notes }, 'notes')}
      />
    </Section>
  );
}
