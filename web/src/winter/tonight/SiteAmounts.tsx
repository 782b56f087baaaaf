import { Box, chakra } from '@chakra-ui/react';
import { amountFor, totalFor, type WinterTotal } from '@steady-scatter/core/winter';
import { say } from '@steady-scatter/words/winter';
import { shownIn } from '../../units/shownIn.ts';
import { Section } from '../../ui/Section.tsx';
import { useWinterAreas, type TreatedArea } from '../useWinterAreas.ts';
import { loadsOf } from './loadsOf.ts';
import { amountUnitOf } from './rateUnitOf.ts';
import type { Night } from './useNight.ts';

const cell = { padding: '7px 0 7px 14px', textAlign: 'right', verticalAlign: 'top', fontVariantNumeric: 'tabular-nums' } as const; // prettier-ignore
const first = { ...cell, textAlign: 'left', paddingLeft: 0 } as const;

interface TotalProps {
  name: string;
  total: WinterTotal;
  night: Night;
  packageSi: number | null;
  isWhole?: boolean;
}

/** What a site takes, or all of them: in packages and in fills of the machine. */
function Total({ name, total, night, packageSi, isWhole = false }: TotalProps) {
  const unit = amountUnitOf(night);
  const pack = night.product?.input.package.unit ?? unit;
  return (
    <chakra.tr borderTopWidth={isWhole ? '2px' : '1px'} borderColor="ink" fontWeight={isWhole ? 'bold' : 'normal'}>
      <chakra.th scope="row" {...first} fontWeight={isWhole ? 'bold' : 'semibold'}>{name}</chakra.th>
      <chakra.td {...cell}>
        {shownIn(total.amountSi, unit, 2)}
        {isWhole && total.packages !== null && <Box fontWeight="normal">{say('winter.sites.packages', { count: total.packages, each: shownIn(packageSi ?? 0, pack) })}</Box>}
        {total.fills !== null && total.fills > 0 && <Box fontWeight="normal">{say('winter.sites.fills', { count: total.fills, machine: night.machines[0]?.name ?? '' })}</Box>}
      </chakra.td>
    </chakra.tr>
  );
} // prettier-ignore

/** What each area takes tonight, by weight or in scoops, and all of it in packages and fills. */
export function SiteAmounts({ night }: { night: Night }) {
  const areas = useWinterAreas();
  const { plan } = night;
  const rateSi = plan?.rateSi;
  if (rateSi == null || rateSi <= 0 || areas === undefined) return null;
  if (areas.length === 0) return <Section heading={say('winter.sites.heading')}>{say('winter.sites.none')}</Section>;
  const unit = amountUnitOf(night);
  const loads = loadsOf(night);
  const total = totalFor(areas, rateSi, loads);
  const sites = [...new Set(areas.map(({ siteName }) => siteName))].map((name) => ({ name, own: totalFor(areas.filter(({ siteName }) => siteName === name), rateSi, loads) })); // prettier-ignore
  const amountText = (area: TreatedArea): string => {
    const amount = amountFor(area, rateSi, loads);
    if (!amount) return say('winter.sites.noSize');
    const weight = shownIn(amount.amountSi, unit, 2);
    return amount.scoops === null ? weight : say('winter.sites.scoops', { scoops: amount.scoops.toFixed(1), weight });
  };
  return (
    <Section heading={say('winter.sites.heading')}>
      <chakra.table width="100%" maxWidth="900px" fontSize="17px">
        <tbody>
          {areas.map((area) => (
            <chakra.tr key={area.id} borderTopWidth="1px" borderColor="line">
              <chakra.th scope="row" {...first} fontWeight="normal">
                <b>{area.name}</b> <chakra.span color="ink.soft">{area.siteName}</chakra.span>
                {area.winter.keepOff && (
                  <Box fontSize="16px" color="warn">▲ {say('winter.sites.keepOff', { what: area.winter.keepOff })}</Box>
                )}
                {area.winter.piles && <Box fontSize="16px" color="ink.soft">{say('winter.sites.piles', { where: area.winter.piles })}</Box>}
              </chakra.th>
              <chakra.td {...cell} whiteSpace={{ base: 'normal', md: 'nowrap' }}>{amountText(area)}</chakra.td>
            </chakra.tr>
          ))}
          {sites.length > 1 && sites.map(({ name, own }) => <Total key={name} name={say('winter.sites.site', { site: name })} total={own} night={night} packageSi={loads.packageSi} />)}
          <Total name={say('winter.sites.all')} total={total} night={night} packageSi={loads.packageSi} isWhole />
        </tbody>
      </chakra.table>
    </Section>
  );
} // prettier-ignore
