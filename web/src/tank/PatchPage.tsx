import { Box, Button } from '@chakra-ui/react';
import { NEED_OF, NEED_OF_IDS, isNutrient, type NeedOf } from '@steady-scatter/core/products';
import { blankProduct } from '@steady-scatter/core/products';
import { showQuantity, systemOf, textWithUnit } from '@steady-scatter/core/quantities';
import { patchSheet, withNeedOf } from '@steady-scatter/core/worksheet';
import { MISSING } from '@steady-scatter/core/working';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { nameOf, say } from '@steady-scatter/words/sheet';
import { useDocument } from '../documents/useDocument.ts';
import { useDocumentCommands } from '../documents/useDocumentCommands.tsx';
import { JOBS } from '../kinds/useJobs.ts';
import { ProductTerm } from '../need/ProductTerm.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { SheetProvider, useErrorAt, useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { blankForm, type SheetForm } from '../sheet/sheetForms.ts';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { Choice } from '../ui/Choice.tsx';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { WarningBox } from '../ui/WarningBox.tsx';
import { amountText, inOwnMeasures, measuresOf } from './amounts.ts';
import { useCrew } from '../settings/CrewProvider.tsx';

const OF = NEED_OF_IDS.map((id) => ({ id, label: isNutrient(id) ? `${NEED_OF[id].symbol}, ${nameOf('nutrient', id)}` : nameOf('nutrient', id) })); // prettier-ignore

/** A sheet as it begins here: something soluble, and a bottle of the usual size. */
function blankPatch(units: Parameters<typeof blankForm>[0]): SheetForm {
  const form = blankForm(units);
  const system = systemOf(form.worksheet.need.unit);
  const size = system === 'us' ? '32 fl oz' : '1 L';
  return { ...form, worksheet: { ...form.worksheet, product: blankProduct('soluble-fertilizer', system), tank: { ...form.worksheet.tank, size } } }; // prettier-ignore
}

/** The four answers: what is needed, of which product, on what patch, out of what. */
function Answers() {
  const form = useSheetForm();
  const errorAt = useErrorAt();
  const input = useWatch({ control: form.control, name: 'worksheet' });
  const { need, product, tank } = input;
  const [area] = input.areas;
  const set = (name: 'need.amount' | 'product.grade' | 'tank.size' | 'tank.water' | 'areas.0.size') => (text: string) => form.setValue(`worksheet.${name}`, text, { shouldDirty: true });
  return (
    <Box display="grid" gap="14px" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} onKeyDown={goOnWithEnter}>
      <LabelledField label={say('sheet.patch.need')} placeholder="0.5" inputMode="decimal" minHeight="touch" unit={<BareUnit text={need.amount} unit={need.unit} />} value={need.amount} error={errorAt('need.amount')} onChange={set('need.amount')} />
      <Choice<NeedOf> label={say('sheet.need.heading')} value={need.nutrient} options={OF} onChange={(nutrient) => form.setValue('worksheet.need', withNeedOf(form.getValues('worksheet'), nutrient).need, { shouldDirty: true })} />
      <Box>
        <LabelledField label={say('sheet.need.grade')} placeholder="13-0-45" minHeight="touch" value={product.grade} error={errorAt('product.grade')} onChange={set('product.grade')} />
        <ProductTerm />
      </Box>
      <LabelledField label={say('sheet.patch.size')} placeholder={say('sheet.patch.sizeHint')} minHeight="touch" unit={<BareUnit text={area?.size ?? ''} unit={area?.unit ?? 'ft2'} />} value={area?.size ?? ''} error={errorAt('areas.0.size')} onChange={set('areas.0.size')} />
      <LabelledField label={say('sheet.patch.bottle')} minHeight="touch" unit={<BareUnit text={tank.size} unit={tank.unit} />} value={tank.size} error={errorAt('tank.size')} onChange={set('tank.size')} />
      <LabelledField label={say('sheet.tank.water')} placeholder={tank.waterUnit === 'degF' ? '50' : '10'} inputMode="decimal" minHeight="touch" unit={<BareUnit text={tank.water} unit={tank.waterUnit} />} value={tank.water} onChange={set('tank.water')} />
    </Box>
  );
} // prettier-ignore

/** Grams and water, how many bottles, and how they go on. */
function Result() {
  const { answer, worksheet } = useSheet();
  const { measures } = useCrew();
  const { productSi, form, bottleL, dissolved, plan, waterC } = patchSheet(worksheet, answer);
  const isUs = systemOf(worksheet.need.unit) === 'us';
  const volume = isUs ? 'gal' : 'L';
  const small = form === 'liquid' ? (isUs ? 'fl oz' : 'mL') : isUs ? 'oz' : 'g';
  const shown = productSi === null ? null : showQuantity(productSi, small, 3);
  const grams = productSi !== null && form === 'dry' ? showQuantity(productSi, isUs ? 'g' : 'oz', 3) : null;
  const { waterUnit } = worksheet.tank;
  const water = showQuantity(waterC, waterUnit, 2);
  const own = plan && form === 'liquid' ? inOwnMeasures(plan.perFillSi, measuresOf(measures)) : '';
  return (
    <AnswerBox>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">{say('sheet.patch.product')}</Box>
      <BigNumber number={shown?.number ?? MISSING} unit={shown?.unit ?? ''} live />
      {grams && <Box color="ink.soft">{textWithUnit(grams.number, isUs ? 'g' : 'oz')}</Box>}
      {plan && bottleL !== null ? (
        <>
          <Box as="ol" listStyleType="decimal" paddingLeft="26px" fontSize="18px" marginTop="10px">
            <li>{say('sheet.patch.fill', { fills: plan.fills, product: amountText(plan.perFillSi, form === 'liquid' ? volume : isUs ? 'lb' : 'kg'), own: own || 'none', bottle: amountText(bottleL, volume) })}</li>
            <li>{say('sheet.patch.shake', { form })}</li>
            <li>{say('sheet.patch.walk', { fills: plan.fills })}</li>
            <li>{say('sheet.patch.rinse')}</li>
          </Box>
          {dissolved && <Box fontSize="16px" marginTop="8px">{say('sheet.patch.dissolves', { least: amountText(dissolved.leastWaterL, volume), at: `${water.number} ${water.unit}` })}</Box>}
          {form === 'dry' && !dissolved && <WarningBox marginTop="10px">{say('sheet.patch.unknown')}</WarningBox>}
        </>
      ) : (
        <Box fontSize="17px">{say('sheet.patch.lacks')}</Box>
      )}
    </AnswerBox>
  );
} // prettier-ignore

/** A small patch: how much product, in how many bottles, walked until they are empty, rinsed in. */
function Patch({ open }: { open: ReturnType<typeof useDocument<SheetForm>> }) {
  const commands = useDocumentCommands(JOBS, null, open);
  const form: UseFormReturn<SheetForm> = open.form;
  const save = () => {
    const { name, worksheet } = form.getValues();
    if (name.trim() === '') form.setValue('name', say('sheet.patch.named', { product: worksheet.product.name || worksheet.product.grade || say('sheet.patch.heading') }));
    void commands.save();
  };
  return (
    <SheetProvider form={form}>
      <title>{say('sheet.patch.title')}</title>
      <TopBar
        acts={
          <>
            {open.differs && <Button onClick={() => commands.discard()}>{say('sheet.job.clear')}</Button>}
            <Button variant="solid" loading={commands.isPending} disabled={!open.differs} onClick={save}>{say('sheet.job.save')}</Button>
          </>
        }
      >
        <Box as="h1" fontSize="22px" fontWeight="bold">{say('sheet.patch.heading')}</Box>
      </TopBar>
      <Box as="main" id="main" display="grid" gap={{ base: '20px', lg: '32px' }} gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }} alignItems="start" padding={{ base: '18px 16px', md: '22px 24px' }}>
        <Answers />
        <Result />
      </Box>
    </SheetProvider>
  );
} // prettier-ignore

/** What is typed of a patch stays on this device until it is saved as a job or cleared. */
export default function PatchPage() {
  const { units } = usePreferences().preferences;
  const open = useDocument(JOBS, null, { blank: () => blankPatch(units), heldAs: 'patch' });
  return <Patch open={open} />;
}
