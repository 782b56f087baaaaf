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
import { say } from '@steady-scatter/words/sites';
import { asChoice } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { Section } from '../ui/Section.tsx';
import type { AreaProps } from './AreaSheet.tsx';
import { SIZE_CHOICES } from './units.ts';

const choices = <Id extends string>(table: Readonly<Record<Id, string>>) =>
  (Object.keys(table) as Id[]).map((id) => ({ id, label: table[id] }));

const HOLDS = [
  { id: 'sum', label: say('sites.hold.sum') },
  { id: 'placed', label: say('sites.hold.placed') },
] as const satisfies readonly { id: LayoutMode; label: string }[];
const TREATED = [
  { id: 'yes', label: say('sites.treated.yes') },
  { id: 'no', label: say('sites.treated.no') },
] as const;

/** What an area is, besides its size. */
export function AreaFacts({ area, paces, bind, onChange }: AreaProps & { paces: PacesResult }) {
  return (
    <Section heading={say('sites.area.about')}>
      <Fields>
        <Choice<Surface> label={say('sites.area.surface')} options={choices(SURFACES)} {...bind('surface')} />
        <Choice<Slope> label={say('sites.area.slope')} options={choices(SLOPES)} {...bind('slope')} />
        <Choice
          label={say('sites.area.treated')}
          options={TREATED}
          {...asChoice(bind('treated'), 'yes', 'no')}
        />
        <Choice<LayoutMode>
          label={say('sites.area.parts')}
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
        <Choice<AreaUnit> label={say('sites.area.unit')} options={SIZE_CHOICES} {...bind('shownIn')} />
      </Fields>
      <NotesField label={say('sites.area.notes')} {...bind('notes')} />
    </Section>
  );
}
