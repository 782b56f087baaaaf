import { Box, Button } from '@chakra-ui/react';
import { evaluateSite, type SiteInput } from '@steady-scatter/core/ground';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { systemOf } from '@steady-scatter/core/quantities';
import { blankApplication, evaluateApplication, type ApplicationInput } from '@steady-scatter/core/season';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/record';
import type { Doc } from '../documents/docs.ts';
import { appendApplication } from '../kinds/useApplications.ts';
import { personNamed, usePeople } from '../kinds/usePeople.ts';
import { useRigs } from '../kinds/useRigs.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { useLotCame } from '../kinds/useStock.ts';
import { useSites } from '../kinds/useSites.ts';
import { useNotices } from '../notices/notices.tsx';
import { WhoField } from '../people/WhoField.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { BareUnit } from '../ui/BareUnit.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Panel } from '../ui/Panel.tsx';
import { today } from '../ui/today.ts';
import { keepWho, whoWorks } from '../ui/who.ts';
import { spreadUnits } from '../units/spreadUnits.ts';
import { typedAs } from './recordFor.ts';

/** Areas of all sites, each under its site's name. */
const areasOf = (sites: readonly Doc<SiteInput>[]) =>
  sites.flatMap((site) => {
    const read = evaluateSite(site.input).areas;
    return site.input.areas.map((area, index) => ({ id: area.id, label: `${site.input.name}: ${area.name}`, site, area, areaM2: read[index]?.measured.areaM2 ?? null }));
  }); // prettier-ignore

interface Typed {
  area: string;
  product: string;
  machine: string;
  amount: string;
  by: string;
  day: string;
}

/** Work that was done without a sheet, typed at a desk: area, product, machine, amount, name. */
export function QuickEntry({ onClose }: { onClose(): void }) {
  const [typed, setTyped] = useState<Typed>(() => ({ area: '', product: '', machine: '', amount: '', by: whoWorks(), day: today() })); // prettier-ignore
  const [tried, setTried] = useState(false);
  const [isAsked, setAsked] = useState(false);
  const { data: sites = [] } = useSites();
  const { data: shelf = [] } = useShelf();
  const { data: rigs = [] } = useRigs();
  const people = usePeople();
  const notices = useNotices();
  const system = useSystem();
  const areas = areasOf(sites);
  const set = (more: Partial<Typed>) => {
    setTyped({ ...typed, ...more });
    setAsked(false);
  };
  const label = shelf.find(({ id }) => id === typed.product)?.input;
  const lotCame = useLotCame({ name: label?.name ?? '', lot: label?.lot ?? '' });
  const isLiquid = label !== undefined && PRODUCT_KINDS[label.kind].form === 'liquid';
  const units = spreadUnits(isLiquid, system === 'us');
  const unit = label?.package.unit ?? units.amount;
  const input = (): ApplicationInput | null => {
    const at = areas.find(({ id }) => id === typed.area);
    if (!at || !label || at.areaM2 === null) return null;
    const blank = blankApplication(systemOf(unit));
    const person = personNamed(people, typed.by);
    return {
      ...blank,
      runId: newId(),
      onDay: typed.day,
      by: typed.by.trim(),
      person: person?.id ?? '',
      license: person?.input.license ?? '',
      licenseUntil: person?.input.licenseUntil ?? '',
      site: at.site.id,
      area: at.area.id,
      siteName: at.site.input.name,
      areaName: at.area.name,
      size: { text: typedAs(at.areaM2, units.area), unit: units.area },
      surface: at.area.surface,
      product: { ...blank.product, id: typed.product, name: label.name, kind: label.kind, grade: label.grade, lot: label.lot, deicer: label.deicer },
      label,
      machine: { ...blank.machine, id: typed.machine, name: rigs.find(({ id }) => id === typed.machine)?.input.name ?? '' },
      rate: { text: '', unit: units.rate },
      amount: { text: typed.amount, unit, from: 'weighed' },
      leftover: { text: '', unit },
      swept: { text: '', unit, to: '' },
    };
  };
  const said = input();
  const wrong = said ? evaluateApplication(said).errors.find(({ field }) => field === 'amount.text') : undefined;
  const lack = !said ? say('log.quick.lacks') : typed.by.trim() === '' ? say('log.quick.needsBy') : typed.day > today() ? say('log.quick.future') : null;
  const question = typed.day < lotCame ? say('record.beforeLot', { day: dayText(lotCame) }) : null;
  const save = () => {
    setTried(true);
    if (!said || lack || wrong) return;
    if (question && !isAsked) return setAsked(true);
    keepWho(typed.by);
    const startedAt = typed.day === today() ? {} : { startedAt: new Date(`${typed.day}T12:00`).toISOString() };
    void appendApplication({ subject: { kind: 'sites', id: said.site }, input: said, ...startedAt });
    notices.tell(say('log.quick.saved', { area: said.areaName }));
    onClose();
  };
  const none = { id: '', label: say('log.quick.choose') };
  return (
    <Panel title={say('log.quick')} size="md" onClose={onClose} footer={<Button variant="solid" minHeight="56px" onClick={save}>{say('log.quick.save')}</Button>}>
      <Box display="grid" gap="14px">
        <Choice label={say('log.quick.area')} value={typed.area} options={[none, ...areas]} onChange={(area) => set({ area })} />
        <Choice label={say('log.quick.product')} value={typed.product} options={[none, ...shelf.map(({ id, input: { name } }) => ({ id, label: name }))]} onChange={(product) => set({ product })} />
        <LabelledField label={say('log.quick.amount')} inputMode="decimal" minHeight="56px" value={typed.amount} error={tried ? wrong : undefined} unit={<BareUnit text={typed.amount} unit={unit} />} onChange={(amount) => set({ amount })} />
        <WhoField label={say('log.quick.by')} value={typed.by} onChange={(by) => set({ by })} />
        <Choice label={say('log.quick.machine')} value={typed.machine} options={[{ id: '', label: say('log.quick.noMachine') }, ...rigs.map(({ id, input: { name } }) => ({ id, label: name }))]} onChange={(machine) => set({ machine })} />
        <LabelledField label={say('log.quick.day')} type="date" minHeight="56px" value={typed.day} onChange={(day) => set({ day })} />
        {((tried && lack) || (isAsked && question)) && <Box role="alert" color="warn" fontWeight="semibold">{lack ?? question}</Box>}
      </Box>
    </Panel>
  );
} // prettier-ignore
