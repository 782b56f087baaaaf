import { memo } from 'react';
import { lazyPart } from '../ui/lazyPart.ts';
import { Box, Button } from '@chakra-ui/react';
import { termText } from '@steady-scatter/core/working';
import { MAX_AREAS, type AreaInput } from '@steady-scatter/core/worksheet';
import { LandPlot, Plus } from 'lucide-react';

import { useFieldArray, useWatch } from 'react-hook-form';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/sheet';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { Questions } from '../sheet/Questions.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { useShowIn } from '../sheet/useShowIn.ts';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { PanelButton } from '../ui/PanelButton.tsx';
import { useStable } from '../ui/useStable.ts';
import { Section } from '../ui/Section.tsx';
import { termOf } from '../ui/termShown.ts';
import { useNotices } from '../notices/notices.tsx';
import { AreaRow, COLUMNS } from './AreaRow.tsx';

const SiteChoices = lazyPart(() => import('./SiteChoices.tsx'));

function Heading({ children, end = false }: { children: string; end?: boolean }) {
  return (
    <Box role="columnheader" textAlign={end ? 'right' : 'left'} paddingRight={end ? '3px' : 0}>
      {children}
    </Box>
  );
}

/** Keeps the focus near a row that is gone: on the row that took its place, else on the act that adds one. */
const focusAfterRemoval = (index: number) =>
  setTimeout(() => {
    const inputs = document.querySelectorAll<HTMLElement>('#ground input[name$=".name"]');
    (inputs[index] ?? inputs[index - 1] ?? document.querySelector<HTMLElement>('#add-area'))?.focus();
  });

/** Adds and removes areas; a removed one comes back with one act, to where it was. */
function useAreas() {
  const form = useSheetForm();
  const notices = useNotices();
  const { fields, append, insert, remove } = useFieldArray<SheetForm, 'worksheet.areas', 'key'>({
    name: 'worksheet.areas',
    keyName: 'key',
  });
  return {
    fields,
    /** Areas chosen elsewhere; an empty row makes room for them. */
    take(areas: readonly AreaInput[]) {
      const empty = form
        .getValues('worksheet.areas')
        .findIndex(({ name, size }) => name === '' && size === '');
      if (empty >= 0) remove(empty);
      append([...areas], { shouldFocus: false });
    },
    add() {
      const unit = form.getValues('worksheet.areas').at(-1)?.unit ?? 'ft2';
      append(
        { id: newId(), name: '', size: '', unit },
        { focusName: `worksheet.areas.${fields.length}.name` },
      );
    },
    remove(index: number) {
      const gone = form.getValues(`worksheet.areas.${index}`);
      remove(index);
      focusAfterRemoval(index);
      if (gone.name === '' && gone.size === '') return;
      notices.undoable(say('sheet.area.removed', { name: gone.name || say('sheet.area.anArea') }), () =>
        insert(index, gone),
      );
    },
  };
}

/** Where it goes: every area with its size and the amount it takes. */
export const GroundSection = memo(function Ground({ onEnter }: { onEnter(): void }) {
  const { answer } = useSheet();
  const { fields, add, take, remove } = useAreas();
  const areas = useWatch({ control: useSheetForm().control, name: 'worksheet.areas' });
  const showIn = { area: useShowIn('area'), amount: useShowIn('amount') };
  const removeArea = useStable(remove);
  const full = fields.length >= MAX_AREAS;
  useCommands([{ id: 'add-area', label: say('sheet.area.add'), keys: 'Alt+A', run: () => !full && add() }]);
  return (
    <Section id="ground" heading={say('sheet.ground.heading')} onEnter={onEnter}>
      <Box role="table" aria-label={say('sheet.ground.areas')}>
        <Box
          role="row"
          display={{ base: 'none', md: 'grid', _print: 'grid' }}
          gridTemplateColumns={COLUMNS}
          columnGap="12px"
          fontSize="14px"
          fontWeight="semibold"
          color="ink.soft"
          paddingY="6px"
          borderBottomWidth="1px"
          borderColor="line"
        >
          <Heading>{say('sheet.ground.area')}</Heading>
          <Heading>{say('sheet.ground.measuredAs')}</Heading>
          <Heading end>{say('sheet.ground.size')}</Heading>
          <Heading end>{say('sheet.ground.weighOut')}</Heading>
        </Box>
        {fields.map((area, index) => (
          <AreaRow key={area.id} index={index} onRemove={removeArea} showIn={showIn} />
        ))}
      </Box>
      <Questions about={['areas.']} />
      <Box
        display="grid"
        gridTemplateColumns={{ ...COLUMNS, base: '1fr auto' }}
        columnGap="12px"
        alignItems="center"
        paddingTop="8px"
        fontSize="17px"
      >
        <Box
          gridColumn={{ base: 1, md: '1 / 3' }}
          data-noprint
          display="flex"
          flexWrap="wrap"
          alignItems="center"
        >
          <Button
            id="add-area"
            variant="ghost"
            marginLeft="-10px"
            size="sm"
            minHeight={{ base: '44px', md: '36px' }}
            onClick={add}
            disabled={full}
          >
            <Plus size={18} /> {say('sheet.area.add')}
          </Button>
          <PanelButton
            disabled={full}
            fontWeight="bold"
            fontSize="15px"
            color="act"
            gap="8px"
            minHeight={{ base: '44px', md: '36px' }}
            paddingX="10px"
            renderPanel={(place) => <SiteChoices place={place} chosen={areas} onChoose={take} />}
          >
            <LandPlot size={18} aria-hidden /> {say('sheet.ground.fromSite')}
          </PanelButton>
          {full && <Box fontSize="14px">{say('sheet.ground.full', { max: MAX_AREAS })}</Box>}
        </Box>
        <Box
          textAlign="right"
          fontWeight="bold"
          fontVariantNumeric="tabular-nums"
          hideBelow="md"
          gridColumn={{ md: 3, _print: 3 }}
          paddingRight="3px"
        >
          {termText(termOf(answer.lines.total, 'total.area'), speak)}
        </Box>
        <Box
          textAlign="right"
          fontWeight="bold"
          fontVariantNumeric="tabular-nums"
          gridColumn={{ base: 2, md: 4, _print: 4 }}
          paddingRight="3px"
        >
          {termText(termOf(answer.lines.total, 'total.amount'), speak)}
        </Box>
      </Box>
    </Section>
  );
});
