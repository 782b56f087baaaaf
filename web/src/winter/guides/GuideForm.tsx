import { Box, Button } from '@chakra-ui/react';
import {
  asksForLane,
  blankGuideLine,
  evaluateGuide,
  GUIDE_DRY_UNITS,
  GUIDE_LIQUID_UNITS,
  type GuideInput,
} from '@steady-scatter/core/winter';
import { textWithUnit, UNITS } from '@steady-scatter/core/quantities';
import { CopyPlus, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/winter';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { dayText } from '../../ui/dayText.ts';
import { Fields, NotesField } from '../../ui/formParts.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { Section } from '../../ui/Section.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { today } from '../../ui/today.ts';
import { unitChoices } from '../../ui/unitChoices.ts';
import { GuideFile } from './GuideFile.tsx';
import { LineRow } from './LineFields.tsx';
import { Rulers } from './Rulers.tsx';

const DEGREES = [
  { id: 'degF', label: UNITS.degF.symbol },
  { id: 'degC', label: UNITS.degC.symbol },
] as const;

/** What its numbers are in, in a line. */
function GuideUnits({ input, bind, field, errorAt }: DocFormProps<GuideInput>) {
  const { temperatureUnit, dryUnit, liquidUnit, lane } = input;
  const onLanes = asksForLane(input);
  return (
    <StatedDefault
      name={say('winter.guide.units')}
      text={say('winter.guide.unitsAre', {
        degrees: UNITS[temperatureUnit].symbol,
        dry: UNITS[dryUnit].symbol,
        liquid: UNITS[liquidUnit].symbol,
        lanes: onLanes ? 'shown' : 'none',
        lane: textWithUnit(lane.text || '?', lane.unit),
      })}
      isWrong={errorAt('lane.text') !== undefined || (onLanes && lane.text.trim() === '')}
    >
      <Choice label={say('winter.guide.degrees')} options={DEGREES} {...bind('temperatureUnit')} />
      <Choice label={say('winter.guide.dryUnit')} options={unitChoices(GUIDE_DRY_UNITS)} {...bind('dryUnit')} />
      <Choice label={say('winter.guide.liquidUnit')} options={unitChoices(GUIDE_LIQUID_UNITS)} {...bind('liquidUnit')} />
      {onLanes && (
        <LabelledField label={say('winter.guide.lane')} placeholder="12" inputMode="decimal" unit={<BareUnit text={lane.text} unit={lane.unit} />} {...field('lane.text')} />
      )}
    </StatedDefault>
  );
} // prettier-ignore

/** Which version is shown, and how a new one begins: as a copy of it. */
function Versions({ input, bind, field, set, shown, show }: DocFormProps<GuideInput> & { shown: number; show(id: string): void }) {
  const { versions } = input;
  const version = versions[shown]!;
  const begin = () => {
    const id = newId();
    const copy = { ...version, id, fromDay: today(), note: '', lines: version.lines.map((line) => Object.assign({}, line, { id: newId() })) };
    set('versions', [copy, ...versions] as never);
    show(id);
  };
  return (
    <Fields>
      <Choice
        label={say('winter.guide.version')}
        value={version.id}
        options={versions.map(({ id, fromDay }) => ({ id, label: say('winter.guide.from', { day: dayText(fromDay) }) }))}
        onChange={show}
      />
      <LabelledField label={say('winter.guide.fromDay')} type="date" {...field(`versions.${shown}.fromDay`)} />
      <LabelledField label={say('winter.guide.changed')} placeholder={say('winter.guide.changedHint')} {...bind(`versions.${shown}.note`)} />
      <Button alignSelf="end" minHeight="touch" justifySelf="start" onClick={begin}>
        <CopyPlus size={18} /> {say('winter.guide.newVersion')}
      </Button>
    </Fields>
  );
} // prettier-ignore

/** A rate guide: its versions, the rulers of the one that is shown, and its lines. */
export function GuideForm(props: DocFormProps<GuideInput>) {
  const { input, bind, field, add, errorAt } = props;
  const [shownId, show] = useState<string | null>(null);
  const [open, setOpen] = useState<string | null>(input.name === '' ? (input.versions[0]?.lines[0]?.id ?? null) : null); // prettier-ignore
  const at = Math.max(0, input.versions.findIndex(({ id }) => id === shownId)); // prettier-ignore
  const version = input.versions[at]!;
  const read = useMemo(() => evaluateGuide(input).versions.find(({ id }) => id === version.id)!, [input, version.id]); // prettier-ignore
  const openLine = (id: string) => {
    setOpen(id);
    setTimeout(() => document.querySelector<HTMLElement>(`[id="line-${id}"] input`)?.focus());
  };
  const isWrongLine = (line: number) => ['cold', 'warm', 'low', 'high', 'situation'].some((name) => errorAt(`versions.${at}.lines.${line}.${name}`) !== undefined); // prettier-ignore
  return (
    <>
      <Fields>
        <LabelledField label={say('winter.guide.name')} placeholder={say('winter.guide.nameHint')} {...field('name')} />
      </Fields>
      <Box marginY="10px">
        <GuideUnits {...props} />
      </Box>
      <Section heading={say('winter.guide.versions')}>
        <Versions {...props} shown={at} show={show} />
      </Section>
      <Section heading={say('winter.guide.rulers')}>
        <Rulers guide={input} version={version} read={read} onLine={openLine} />
      </Section>
      <Section heading={say('winter.guide.lines', { count: version.lines.length })}>
        <Box as="ul" listStyleType="none">
          {version.lines.map((line, index) => (
            <LineRow
              {...props}
              key={line.id}
              version={at}
              at={index}
              line={line}
              isOpen={open === line.id || isWrongLine(index)}
              setOpen={(isOpen) => setOpen(isOpen ? line.id : null)}
            />
          ))}
        </Box>
        <Button
          variant="ghost"
          marginLeft="-10px"
          minHeight="touch"
          onClick={() => {
            const line = { ...blankGuideLine(newId()), situation: version.lines.at(-1)?.situation ?? '' };
            add(`versions.${at}.lines`, line as never);
            setOpen(line.id);
          }}
        >
          <Plus size={18} /> {say('winter.guide.addLine')}
        </Button>
      </Section>
      <Section heading={say('winter.guide.file')} noPrint>
        <GuideFile {...props} at={at} />
      </Section>
      <NotesField label={say('winter.guide.source')} {...bind('source')} />
    </>
  );
} // prettier-ignore
