import { Box } from '@chakra-ui/react';
import {
  placeParts,
  evaluateSiteArea,
  SLOPES,
  SURFACES,
  WINTER_USES,
  type LayoutMode,
  type PacesResult,
  type Slope,
  type SiteAreaInput,
  type Surface,
  type WinterUse,
} from '@steady-scatter/core/ground';
import { UNITS, type AreaUnit } from '@steady-scatter/core/quantities';
import { nameOf, say } from '@steady-scatter/words/sites';
import { asChoice } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { sentence } from '../ui/sentence.ts';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import type { AreaProps } from './AreaSheet.tsx';
import { SIZE_CHOICES } from './units.ts';

const HOLDS = [
  { id: 'sum', label: say('sites.hold.sum') },
  { id: 'placed', label: say('sites.hold.placed') },
] as const satisfies readonly { id: LayoutMode; label: string }[];
const TREATED = [
  { id: 'yes', label: say('sites.treated.yes') },
  { id: 'no', label: say('sites.treated.no') },
] as const;

const BY_HAND = [
  { id: 'yes', label: say('sites.winter.byHand') },
  { id: 'no', label: say('sites.winter.byMachine') },
] as const;
const PRIORITIES = (['1', '2', '3'] as const).map((id) => ({ id, label: say('sites.winter.priorityOf', { number: id }) })); // prettier-ignore

const winterText = ({ use, isByHand, priority }: SiteAreaInput['winter']): string =>
  say('sites.winter.is', { use: use || 'none', by: isByHand ? 'hand' : 'machine', priority });

/** What an area is besides its size, in lines; each can be changed. */
export function AreaFacts({ area, paces, bind, onChange }: AreaProps & { paces: PacesResult }) {
  const { surface, slope, treated, layoutMode, shownIn, winter, notes } = area;
  return (
    <Box as="section" aria-label={say('sites.area.about')} marginBottom="28px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('sites.area.about')}
      </Box>
      <StatedDefault
        name={say('sites.part.ground')}
        text={sentence(
          say('sites.area.groundIs', { surface: nameOf('surface', surface), slope: nameOf('slope', slope) }),
        )}
      >
        <Choice<Surface>
          label={say('sites.area.surface')}
          options={SURFACES.map((id) => ({ id, label: nameOf('surface', id) }))}
          {...bind('surface')}
        />
        <Choice<Slope>
          label={say('sites.area.slope')}
          options={SLOPES.map((id) => ({ id, label: nameOf('slope', id) }))}
          {...bind('slope')}
        />
      </StatedDefault>
      <StatedDefault
        name={say('sites.part.treated')}
        text={treated ? say('sites.area.isTreated') : say('sites.area.notTreated')}
      >
        <Choice
          label={say('sites.area.treated')}
          options={TREATED}
          {...asChoice(bind('treated'), 'yes', 'no')}
        />
      </StatedDefault>
      <StatedDefault
        name={say('sites.part.layout')}
        text={say('sites.area.layoutIs', { mode: layoutMode, unit: UNITS[shownIn].symbol })}
      >
        <Choice<LayoutMode>
          label={say('sites.area.parts')}
          value={layoutMode}
          options={HOLDS}
          onChange={(next) => {
            const parts =
              next === 'placed'
                ? placeParts(area.parts, evaluateSiteArea(area, paces, '').measured.parts)
                : area.parts;
            onChange({ ...area, layoutMode: next, parts }, 'layoutMode');
          }}
        />
        <Choice<AreaUnit> label={say('sites.area.unit')} options={SIZE_CHOICES} {...bind('shownIn')} />
      </StatedDefault>
      <StatedDefault name={say('sites.part.winter')} text={winterText(winter)}>
        <Choice<WinterUse>
          label={say('sites.winter.use')}
          options={WINTER_USES.map((id) => ({ id, label: say('sites.winter.useOf', { use: id || 'none' }) }))}
          {...bind('winter.use')}
        />
        {winter.use !== '' && (
          <>
            <Choice
              label={say('sites.winter.by')}
              options={BY_HAND}
              {...asChoice(bind('winter.isByHand'), 'yes', 'no')}
            />
            <Choice label={say('sites.winter.priority')} options={PRIORITIES} {...bind('winter.priority')} />
            <LabelledField
              label={say('sites.winter.keepOff')}
              placeholder={say('sites.winter.keepOffHint')}
              {...bind('winter.keepOff')}
            />
            <LabelledField
              label={say('sites.winter.piles')}
              placeholder={say('sites.winter.pilesHint')}
              {...bind('winter.piles')}
            />
          </>
        )}
      </StatedDefault>
      <StatedDefault name={say('sites.part.notes')} text={notes.trim() || say('sites.area.noNotes')}>
        <Box gridColumn="1 / -1">
          <NotesField label={say('sites.area.notes')} {...bind('notes')} />
        </Box>
      </StatedDefault>
    </Box>
  );
}
