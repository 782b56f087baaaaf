import { lazyPart } from '../ui/lazyPart.ts';
import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import {
  blankSiteArea,
  evaluateSite,
  showSize,
  type SiteAreaInput,
  type SiteResult,
  type SiteInput,
} from '@steady-scatter/core/ground';
import { FileUp, Plus } from 'lucide-react';
import { Suspense, useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { rich, say } from '@steady-scatter/words/sites';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { fieldsOfPart } from '../documents/fields.ts';
import { useSystem } from '../settings/useSystem.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { useNotices } from '../notices/notices.tsx';
import { AreaSheet } from './AreaSheet.tsx';
import { PlanAct } from './PlanAct.tsx';
import { SiteFacts } from './SiteFacts.tsx';
import { aboutOf, useHistory } from './useHistory.ts';
import { richly, TAGS } from '../ui/richly.tsx';

const ImportSection = lazyPart(() => import('./ImportSection.tsx'));

const Tab = chakra('button', {
  base: {
    minHeight: '44px',
    paddingX: '14px',
    borderRadius: '8px 8px 0 0',
    borderBottomWidth: '3px',
    borderColor: 'transparent',
    cursor: 'pointer',
    fontSize: '16px',
    color: 'ink.soft',
    maxWidth: '260px',
    truncate: true,
    _hover: { bg: 'soft' },
    '&[aria-selected=true]': { color: 'ink', fontWeight: 'bold', borderColor: 'tape' },
  },
});

const areaName = ({ name }: SiteAreaInput, at: number): string =>
  name.trim() || say('sites.area.number', { number: at + 1 });

/** The areas of a site side by side as tabs; arrow keys go from one to the next. */
function AreaTabs({
  areas,
  current,
  onOpen,
}: {
  areas: SiteInput['areas'];
  current: number;
  onOpen(at: number): void;
}) {
  return (
    <Box
      role="tablist"
      aria-label={say('sites.area.list')}
      display="flex"
      flexWrap="wrap"
      onKeyDown={(event) => {
        const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
        if (step === 0) return;
        const next = (current + step + areas.length) % areas.length;
        onOpen(next);
        (event.currentTarget.children[next] as HTMLElement | undefined)?.focus();
      }}
    >
      {areas.map((area, index) => (
        <Tab
          key={area.id}
          type="button"
          role="tab"
          aria-selected={index === current}
          tabIndex={index === current ? 0 : -1}
          onClick={() => onOpen(index)}
        >
          {areaName(area, index)}
        </Tab>
      ))}
    </Box>
  );
}

/** The areas of a site: which is open, adding and removing, and files brought in. */
function useAreas(input: SiteInput, change: (next: SiteInput, about: string) => void, undo: () => void) {
  const [wanted, setOpen] = useState(0);
  const system = useSystem();
  const notices = useNotices();
  const open = Math.min(wanted, input.areas.length - 1);
  const add = (areas: readonly SiteAreaInput[], place: SiteInput['place']) => {
    const only = input.areas.length === 1 ? input.areas[0] : undefined;
    // An empty first area makes room for what is brought in.
    const kept =
      only && only.parts.length === 0 && only.name === '' && areas[0]?.parts.length ? [] : input.areas;
    change({ ...input, place, areas: [...kept, ...areas] }, '');
    setOpen(kept.length);
  };
  return {
    open,
    setOpen,
    add,
    addEmpty: () => add([blankSiteArea(newId(), system)], input.place),
    set: (area: SiteAreaInput, about: string) =>
      change({ ...input, areas: input.areas.with(open, area) }, aboutOf(area.id, about)),
    remove() {
      const area = input.areas[open];
      if (!area) return;
      const left = input.areas.toSpliced(open, 1);
      change({ ...input, areas: left.length > 0 ? left : [blankSiteArea(newId(), system)] }, '');
      setOpen(Math.max(0, open - 1));
      notices.undoable(say('sites.area.removed', { area: areaName(area, open) }), undo);
    },
  };
}

/** What is treated on the whole site. */
function SiteTotal({ reading: { totals, areas }, input }: { reading: SiteResult; input: SiteInput }) {
  if (areas.length < 2 || totals.treatableM2 === 0) return null;
  const { number, unit, band } = showSize(totals.treatableM2, totals.bandM2, input.areas[0]?.shownIn ?? 'm2');
  return (
    <Box paddingBottom="10px" fontSize="17px">
      {richly(rich('sites.toTreat', { ...TAGS, number, unit }))} {band && `±${band}`}
    </Box>
  );
}

/** A site as it is typed and drawn. */
export function SiteForm({
  input,
  isSample,
  errorAt,
  onChange,
}: DocFormProps<SiteInput> & { isSample: boolean }) {
  const history = useHistory(input, onChange);
  const areas = useAreas(input, history.change, history.undo);
  const fields = fieldsOfPart(input, history.change, errorAt);
  const reading = useMemo(() => evaluateSite(input), [input]);
  const [importing, setImporting] = useState(false);
  useCommands([
    { id: 'undo', label: say('common.undo'), keys: 'Ctrl+Z', run: history.undo },
    { id: 'redo', label: say('sites.redo'), keys: 'Ctrl+Y', run: history.redo },
    { id: 'add-area', label: say('sites.area.add'), keys: 'Alt+A', run: areas.addEmpty },
  ]);
  const area = input.areas[areas.open];
  const errorsAt = (path: string): InputError | undefined => errorAt(`areas.${areas.open}.${path}`);
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="6px 28px" alignItems="end" marginBottom="10px">
        <Box flex="0 1 420px">
          <LabelledField
            label={say('sites.name')}
            placeholder={say('sites.nameHint')}
            {...fields.field('name')}
          />
        </Box>
        <PlanAct site={input} isSample={isSample} />
        <SiteTotal reading={reading} input={input} />
      </Box>
      <Box
        display="flex"
        flexWrap="wrap"
        alignItems="end"
        gap="4px 10px"
        borderBottomWidth="1px"
        borderColor="line"
        marginBottom="16px"
        data-noprint
      >
        <AreaTabs areas={input.areas} current={areas.open} onOpen={areas.setOpen} />
        <Button variant="ghost" minHeight="44px" onClick={areas.addEmpty}>
          <Plus size={18} /> {say('sites.area.add')}
        </Button>
        <Button
          variant="ghost"
          minHeight="44px"
          aria-expanded={importing}
          onClick={() => setImporting(!importing)}
        >
          <FileUp size={18} /> {say('sites.file.act')}
        </Button>
      </Box>
      {importing && (
        <Suspense fallback={null}>
          <ImportSection
            site={input}
            onTake={(taken, place) => {
              areas.add(taken, place);
              setImporting(false);
            }}
          />
        </Suspense>
      )}
      {area && (
        <AreaSheet
          key={area.id}
          area={area}
          paces={reading.paces}
          errorAt={errorsAt}
          history={history}
          onChange={areas.set}
          onRemove={areas.remove}
        />
      )}
      <SiteFacts {...fields} errorAt={errorAt} input={input} reading={reading} />
    </>
  );
}
