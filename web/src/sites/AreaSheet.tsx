import { lazyPart } from '../ui/lazyPart.ts';
import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import {
  areaAdvice,
  measuredLine,
  evaluateSiteArea,
  showSize,
  type PacesResult,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import { bandText, MISSING } from '@steady-scatter/core/working';
import { Trash2 } from 'lucide-react';
import { Suspense, useDeferredValue, useMemo, useState } from 'react';
import { say, speak } from '@steady-scatter/words/sites';
import { fieldsOfPart, type FieldsOf } from '../documents/fields.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { AreaFacts } from './AreaFacts.tsx';
import { EdgesSection } from './EdgesSection.tsx';
import { PartList } from './PartList.tsx';
import { QuickAdd } from './QuickAdd.tsx';
import { RowsSection } from './RowsSection.tsx';
import { usePartActs } from './usePartActs.ts';

const AreaDrawing = lazyPart(() => import('./drawing/AreaDrawing.tsx'));

export interface AreaProps extends FieldsOf<SiteAreaInput> {
  area: SiteAreaInput;
  /** Error at a path within the area. */
  errorAt(path: string): InputError | undefined;
  onChange(area: SiteAreaInput, about: string): void;
}

interface Props extends Pick<AreaProps, 'area' | 'errorAt' | 'onChange'> {
  paces: PacesResult;
  history: { readonly can: { undo: boolean; redo: boolean }; undo(): void; redo(): void };
  onRemove(): void;
}

/** What the area comes to, and what to do next. */
function Answer({ area, reading }: { area: SiteAreaInput; reading: ReturnType<typeof evaluateSiteArea> }) {
  const { treatableM2, measured } = reading;
  const shown = treatableM2 === null ? null : showSize(treatableM2, measured.bandM2, area.shownIn);
  return (
    <Box as="section" aria-label={say('sites.area.answer')}>
      {/* As high for every number, so that the drawing stays where it is under a finger. */}
      <Box height="92px" display="flex" flexDirection="column" justifyContent="end">
        <BigNumber
          number={shown?.number ?? MISSING}
          unit={shown ? `${shown.unit}${bandText(shown)}` : ''}
          live
        />
      </Box>
      <Box fontSize="16px" marginTop="6px" minHeight="45px">
        {speak(areaAdvice(area, reading))}
      </Box>
    </Box>
  );
}

/** One area: its parts as called out on the left, what they come to and the drawing on the right. */
export function AreaSheet({ area: kept, paces, errorAt, onChange, onRemove, history }: Props) {
  // While something is dragged the sheet follows it; what is kept changes when it is let go.
  const [dragged, setDragged] = useState<SiteAreaInput | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const live = dragged ?? kept;
  // The drawing follows the finger at once; numbers and fields follow as soon as there is time.
  const later = useDeferredValue(live);
  // What is typed is never shown late: a field would fall back to it and lose the next letter.
  const area = dragged ? later : kept;
  const reading = useMemo(() => evaluateSiteArea(area, paces, ''), [area, paces]);
  const line = useMemo(() => measuredLine(area, reading), [area, reading]);
  const acts = usePartActs({ area: kept, paces, onChange, choose: setChosen });
  // What a drag does not change is not drawn anew at each step of it.
  const props = useMemo(
    () => ({ area: kept, errorAt, onChange, ...fieldsOfPart(kept, onChange, errorAt) }),
    [kept, errorAt, onChange],
  );
  const facts = useMemo(() => <AreaFacts {...props} paces={paces} />, [props, paces]);
  const edges = useMemo(() => <EdgesSection {...props} />, [props]);
  const quick = useMemo(() => <QuickAdd onAdd={acts.addQuick} onShape={acts.addShape} />, [acts]);
  const names = Object.fromEntries(
    line.parts.flatMap((part) => (part.type === 'term' ? [[part.role, say('sites.area.part')]] : [])),
  );
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.1fr)' }}
      gap={{ base: '18px', lg: '32px' }}
      alignItems="start"
    >
      <Box minWidth={0} order={{ base: 2, lg: 1 }}>
        <Box marginBottom="14px">
          <LabelledField
            label={say('sites.area.name')}
            placeholder={say('sites.area.nameHint')}
            maxLength={120}
            {...props.bind('name')}
          />
        </Box>
        <Section heading={say('sites.area.callOut')}>
          {quick}
          <PartList
            area={area}
            reading={reading}
            chosen={chosen}
            errorAt={errorAt}
            acts={acts}
            onChoose={setChosen}
          />
        </Section>
        {area.parts.length > 0 && (
          <Section heading={speak(line.label)}>
            <WorkingLine
              working={line}
              names={{
                ...names,
                area: say('sites.area.size'),
                treatable: say('sites.area.treatable'),
                heldBack: say('sites.area.buffer'),
              }}
              size="plain"
            />
          </Section>
        )}
        {facts}
        {edges}
        <RowsSection {...props} rows={reading.rows} />
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={onRemove}>
          <Trash2 size={18} /> {say('sites.area.remove')}
        </Button>
        <FieldErrors error={errorAt('parts')} input="" />
      </Box>
      <Box minWidth={0} order={{ base: 1, lg: 2 }} position={{ lg: 'sticky' }} top="12px">
        <Answer area={area} reading={reading} />
        <Suspense fallback={<Box height={{ base: '300px', lg: '425px' }} />}>
          <AreaDrawing
            area={live}
            reading={reading}
            paces={paces}
            chosen={chosen}
            history={history}
            onChoose={setChosen}
            onDrag={setDragged}
            onDrop={(next, about) => {
              setDragged(null);
              if (next !== kept) onChange(next, about);
            }}
            onNudge={acts.nudge}
          />
        </Suspense>
      </Box>
    </Box>
  );
}
