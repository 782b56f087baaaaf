import { Box, chakra } from '@chakra-ui/react';
import { sameSituation, TREATMENTS, type Treatment } from '@steady-scatter/core/winter';
import { CloudSnow } from 'lucide-react';
import { useNavigate } from 'react-router';
import { nameOf, say } from '@steady-scatter/words/winter';
import { WinterTabs } from '../../shell/WinterTabs.tsx';
import { CardChoice } from '../../ui/CardChoice.tsx';
import { CheckLine } from '../../ui/CheckLine.tsx';
import { CommandButton } from '../../ui/CommandButton.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { TopBar } from '../../ui/TopBar.tsx';
import { dayText } from '../../ui/dayText.ts';
import { NightAnswer } from './NightAnswer.tsx';
import { useHeldNight, type NightInput } from './nightInput.ts';
import { PavementReading } from './PavementReading.tsx';
import { SiteAmounts } from './SiteAmounts.tsx';
import { useNight, type Night } from './useNight.ts';

interface Props {
  input: NightInput;
  night: Night;
  set(changed: Partial<NightInput>): void;
}

/** What falls or lies there; and before it or after it, where the guide tells the two apart. */
function Situation({ input, night, set }: Props) {
  const { situations, version } = night;
  const own = (version?.lines ?? []).filter(({ situation }) => sameSituation(situation, input.situation));
  const told = TREATMENTS.filter((treatment) => own.some((line) => line.treatment === 'any' || line.treatment === treatment)); // prettier-ignore
  const choose = (situation: string) => {
    const lines = (version?.lines ?? []).filter((line) => sameSituation(line.situation, situation));
    const fits = lines.some(({ treatment }) => treatment === 'any' || treatment === input.treatment);
    const [only] = lines;
    set({ situation, share: '', ...(!fits && only && only.treatment !== 'any' && { treatment: only.treatment }) }); // prettier-ignore
  };
  return (
    <>
      <CardChoice
        label={say('winter.night.situation')}
        value={situations.find((each) => sameSituation(each, input.situation)) ?? null}
        options={situations.map((id) => ({ id, label: id }))}
        onChange={choose}
      />
      {told.length > 1 && (
        <CardChoice<Treatment>
          label={say('winter.night.treatment')}
          value={input.treatment}
          options={TREATMENTS.map((id) => ({
            id,
            label: say('winter.night.treatmentOf', { treatment: id }),
          }))}
          onChange={(treatment) => set({ treatment, share: '' })}
        />
      )}
    </>
  );
}

/** What was used last, in lines: the product and the guide. */
function Chosen({ input, night, set }: Props) {
  const { product, products, guide, guides, version } = night;
  const hasPrewetted = version?.lines.some((line) => line.product === 'prewetted') === true && night.asks !== 'liquid'; // prettier-ignore
  return (
    <Box marginBottom="14px">
      <StatedDefault
        name={say('winter.night.product')}
        text={say('winter.night.productIs', { product: product?.input.name ?? say('winter.night.noProduct'), how: night.asks === 'prewetted' ? 'wet' : 'plain' })} // prettier-ignore
      >
        <Choice
          label={say('winter.night.product')}
          value={product?.id ?? ''}
          options={products.map(({ id, input: { name } }) => ({ id, label: name }))}
          onChange={(id) => set({ product: id, share: '' })}
        />
        {hasPrewetted && (
          <CheckLine
            label={nameOf('guideProduct', 'prewetted')}
            checked={input.isPrewetted}
            onChange={() => set({ isPrewetted: !input.isPrewetted, share: '' })}
          />
        )}
      </StatedDefault>
      <StatedDefault
        name={say('winter.night.guide')}
        text={guide ? say('winter.night.guideIs', { guide: guide.input.name, day: dayText(version?.fromDay ?? '') || '—' }) : say('winter.night.noGuide')} // prettier-ignore
      >
        <Choice
          label={say('winter.night.guide')}
          value={guide?.id ?? ''}
          options={guides.map(({ id, input: { name } }) => ({ id, label: name }))}
          onChange={(id) => set({ guide: id, share: '' })}
        />
        <Choice
          label={say('winter.guide.degrees')}
          value={input.unit}
          options={[
            { id: 'degF', label: '°F' },
            { id: 'degC', label: '°C' },
          ]}
          onChange={(unit) => set({ unit })}
        />
      </StatedDefault>
    </Box>
  );
}

/** Tonight: pavement and situation give the rate, the setting of each machine, and what each area takes. */
export default function TonightPage() {
  const { input, set } = useHeldNight();
  const night = useNight(input);
  const navigate = useNavigate();
  const props = { input, night, set };
  return (
    <>
      <title>{say('winter.night.title')}</title>
      <TopBar
        acts={
          <CommandButton
            icon={CloudSnow}
            label={say('winter.night.startStorm')}
            onClick={() => void navigate('/winter/storms/new')}
          />
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('winter.night.heading')}
        </chakra.h1>
      </TopBar>
      <WinterTabs />
      <Box
        as="main"
        id="main"
        padding={{ base: '0 16px 24px', md: '4px 24px 32px' }}
        display="grid"
        gap={{ base: '14px', lg: '32px' }}
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
        alignItems="start"
      >
        <Box minWidth={0}>
          <PavementReading input={input} pavement={night.pavement} set={set} />
          <Situation {...props} />
          <Chosen {...props} />
        </Box>
        <Box minWidth={0} display="grid" gap="20px">
          <NightAnswer {...props} />
          <SiteAmounts night={night} />
        </Box>
      </Box>
    </>
  );
}
