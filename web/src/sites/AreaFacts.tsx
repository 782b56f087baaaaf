import { Box } from '@chakra-ui/react';
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
import { UNITS, type AreaUnit } from '@steady-scatter/core/quantities';
import { nameOf, say } from '@steady-scatter/words/sites';
import { asChoice } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { NotesField } from '../ui/formParts.tsx';
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

/** What an area is besides its size, in lines; each can be changed. */
export function AreaFacts({ area, paces, bind, onChange }: AreaProps & { paces: PacesResult }) {
  const { surface, slope, treated, layoutMode, shownIn, notes } = area;
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
      <StatedDefault name={say('sites.part.notes')} text={notes.trim() || say('sites.area.noNotes')}>
        <Box gridColumn="1 / -1">
          <NotesField label={say('sites.area.notes')} {...bind('notes')} />
        </Box>
      </StatedDefault>
    </Box>
  );
}
