import { Box, chakra } from '@chakra-ui/react';
import { mixForSoilTest } from '@steady-scatter/core/mix';
import { UNITS } from '@steady-scatter/core/quantities';
import type { ProductInput } from '@steady-scatter/core/products';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { say } from '@steady-scatter/words/shelf';
import { explain } from '../api/explain.ts';
import { AREA_CHOICES } from '../units/areas.ts';
import { useDocs, type Doc } from '../documents/docs.ts';
import { RATE_CHOICES } from '../units/units.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Message } from '../ui/Message.tsx';
import { Section } from '../ui/Section.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { MixAnswer } from './MixAnswer.tsx';
import { NeedTable } from './NeedTable.tsx';
import { useMix } from './useMix.ts';
import { usePutOnJobs } from './usePutOnJobs.ts';
import { useRequest } from './useRequest.ts';
import { useMixInput } from './useMixInput.ts';
import { unitChoices } from '../ui/unitChoices.ts';

type SoilDoc = Doc<Parameters<typeof mixForSoilTest>[1]>;

const Tick = chakra('label', {
  base: { display: 'flex', alignItems: 'center', gap: '10px', minHeight: '44px', cursor: 'pointer' },
});
const Check = chakra('input', { base: { width: '20px', height: '20px', accentColor: 'act', flexShrink: 0 } });

/** Only what feeds can be in a mix. */
const feeds = ({ input }: Doc<ProductInput>): boolean => input.grade !== '';

function Finder({
  shelf,
  soilTests,
  soil,
}: {
  shelf: readonly Doc<ProductInput>[];
  soilTests: readonly SoilDoc[];
  soil: SoilDoc | undefined;
}) {
  const { rate } = usePreferences().preferences.units;
  const { input, change, setInput } = useMixInput(
    RATE_CHOICES.find((id) => id === rate) ?? 'lb/1000 ft2',
    soil?.input,
  );
  const feeding = useMemo(() => shelf.filter(feeds), [shelf]);
  const { reading, sets, request } = useRequest(input, feeding);
  const state = useMix(request);
  const putOnJobs = usePutOnJobs(input, shelf);
  const errorAt = (field: string) => reading.errors.find((error) => error.field === field);
  const tick = (id: string, ticked: boolean) =>
    change({ unticked: ticked ? input.unticked.filter((one) => one !== id) : [...input.unticked, id] });
  const { answer } = state;

  return (
    <Box
      as="main"
      id="main"
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 500px)' }}
      gap="28px"
      padding={{ base: '4px 16px 24px', md: '4px 24px 32px' }}
      alignItems="start"
    >
      <Box minWidth={0}>
        <Section heading={say('shelf.mix.needs')}>
          <Fields>
            <Choice
              label={say('shelf.mix.fromSoil')}
              value=""
              options={[
                {
                  id: '',
                  label: soilTests.length === 0 ? say('shelf.mix.noSoil') : say('shelf.mix.chooseSoil'),
                },
                ...soilTests.map(({ id, input: { name, onDay } }) => ({
                  id,
                  label: `${name}, ${dayText(onDay)}`,
                })),
              ]}
              onChange={(id) => {
                const found = soilTests.find((one) => one.id === id);
                if (found) setInput((now) => mixForSoilTest(now, found.input));
              }}
            />
            <LabelledField
              label={say('shelf.mix.name')}
              placeholder={say('shelf.mix.nameHint')}
              value={input.name}
              onChange={(name) => change({ name })}
            />
            <Choice
              label={say('shelf.mix.unit')}
              value={input.unit}
              options={unitChoices(RATE_CHOICES)}
              onChange={(unit) => change({ unit })}
            />
          </Fields>
          <Box marginTop="12px">
            <NeedTable input={input} errorAt={errorAt} onChange={(needs) => change({ needs })} />
          </Box>
        </Section>
        <Section heading={say('shelf.mix.limits')}>
          <Fields>
            <LabelledField
              label={say('shelf.mix.over')}
              value={input.tolerance}
              error={errorAt('tolerance')}
              unit="%"
              onChange={(tolerance) => change({ tolerance })}
            />
            <Choice
              label={say('shelf.mix.rules')}
              value={input.ruleSetId}
              options={[
                { id: '', label: say('shelf.mix.noRules') },
                ...sets.map(({ id, input: { name } }) => ({ id, label: name })),
              ]}
              onChange={(ruleSetId) => change({ ruleSetId })}
            />
            <LabelledField
              label={say('shelf.mix.ground')}
              placeholder="690"
              value={input.ground.size}
              error={errorAt('ground.size')}
              unit={
                <chakra.select
                  aria-label={say('shelf.mix.groundUnit')}
                  bg="transparent"
                  minHeight="44px"
                  value={input.ground.unit}
                  onChange={(event) =>
                    change({
                      ground: { ...input.ground, unit: event.target.value as typeof input.ground.unit },
                    })
                  }
                >
                  {AREA_CHOICES.map((id) => (
                    <option key={id} value={id}>
                      {UNITS[id].symbol}
                    </option>
                  ))}
                </chakra.select>
              }
              onChange={(size) => change({ ground: { ...input.ground, size } })}
            />
          </Fields>
          {reading.areaM2 !== null && (
            <Tick marginTop="8px">
              <Check
                type="checkbox"
                checked={input.fromStock}
                onChange={(event) => change({ fromStock: event.target.checked })}
              />
              {say('shelf.mix.stockOnly')}
            </Tick>
          )}
        </Section>
        <Section heading={say('shelf.mix.products')}>
          <Tick>
            <Check
              type="checkbox"
              checked={input.mixesForms}
              onChange={(event) => change({ mixesForms: event.target.checked })}
            />
            {say('shelf.mix.dryAndLiquid')}
          </Tick>
          <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="20px">
            {feeding.map(({ id, input: { name } }) => (
              <Tick key={id}>
                <Check
                  type="checkbox"
                  checked={!input.unticked.includes(id)}
                  onChange={(event) => tick(id, event.target.checked)}
                />
                <chakra.span overflowWrap="anywhere">{name}</chakra.span>
              </Tick>
            ))}
          </Box>
        </Section>
      </Box>
      <Box
        as="section"
        aria-label={say('shelf.mix.answer')}
        aria-busy={state.status === 'searching'}
        bg="paper"
        borderWidth="1px"
        borderColor="line"
        borderRadius="10px"
        padding="20px"
      >
        {answer && request && (
          <MixAnswer
            answer={answer}
            unit={input.unit}
            areaM2={reading.areaM2}
            tolerance={reading.tolerance}
            productOf={(id) => shelf.find((one) => one.id === id)?.input}
            onPutOnJobs={(lines) => void putOnJobs(lines)}
          />
        )}
        {!request && (
          <Box fontSize="17px">
            {reading.errors.length > 0 ? say('shelf.mix.unreadable') : say('shelf.mix.lacks')}
          </Box>
        )}
        {state.status === 'failed' && <Box color="warn">{say('shelf.mix.noWorker')}</Box>}
      </Box>
    </Box>
  );
}

/** Needs in several nutrients, and the cheapest mix from the shelf that meets them. */
export default function MixPage() {
  const { data: shelf, error, refetch } = useShelf();
  const { data: soilTests } = useDocs(SOIL_TESTS);
  const [params] = useSearchParams();
  const soilId = params.get('soil');
  if (error && !shelf) {
    return (
      <Message
        heading={say('shelf.notRead')}
        text={explain(error)}
        act={say('common.tryAgain')}
        onAct={() => void refetch()}
      />
    );
  }
  return (
    <>
      <title>{say('shelf.mix.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('shelf.mix.heading')}
        </chakra.h1>
      </TopBar>
      <ShelfTabs />
      {shelf && soilTests && (
        <Finder
          key={soilId}
          shelf={shelf}
          soilTests={soilTests}
          soil={soilTests.find(({ id }) => id === soilId)}
        />
      )}
    </>
  );
}
