import { Box, chakra } from '@chakra-ui/react';
import type { UnitId } from '@steady-scatter/core/quantities';
import { amountFor, totalFor } from '@steady-scatter/core/winter';
import { say } from '@steady-scatter/words/winter';
import { shownIn } from '../../units/shownIn.ts';
import { Section } from '../../ui/Section.tsx';
import { useWinterAreas, type TreatedArea } from '../useWinterAreas.ts';
import { loadsOf } from './loadsOf.ts';
import { rateUnitOf } from './rateUnitOf.ts';
import type { Night } from './useNight.ts';

const cell = { padding: '7px 0 7px 14px', textAlign: 'right', verticalAlign: 'top', fontVariantNumeric: 'tabular-nums' } as const; // prettier-ignore
const first = { ...cell, textAlign: 'left', paddingLeft: 0 } as const;

/** What each area takes tonight, by weight or in scoops, and all of it in packages and fills. */
export function SiteAmounts({ night }: { night: Night }) {
  const areas = useWinterAreas();
  const { plan } = night;
  const rateSi = plan?.rateSi;
  if (rateSi == null || rateSi <= 0 || areas === undefined) return null;
  if (areas.length === 0) return <Section heading={say('winter.sites.heading')}>{say('winter.sites.none')}</Section>;
  const isUs = /lb|gal/.test(rateUnitOf(night));
  const unit: UnitId = night.asks === 'liquid' ? (isUs ? 'gal' : 'L') : isUs ? 'lb' : 'kg';
  const loads = loadsOf(night);
  const total = totalFor(areas, rateSi, loads);
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
          <chakra.tr borderTopWidth="2px" borderColor="ink" fontWeight="bold">
            <chakra.th scope="row" {...first}>{say('winter.sites.all')}</chakra.th>
            <chakra.td {...cell}>
              {shownIn(total.amountSi, unit, 2)}
              {total.packages !== null && <Box fontWeight="normal">{say('winter.sites.packages', { count: total.packages, each: shownIn(loads.packageSi ?? 0, night.product?.input.package.unit ?? unit) })}</Box>}
              {total.fills !== null && <Box fontWeight="normal">{say('winter.sites.fills', { count: total.fills, machine: night.machines[0]?.name ?? '' })}</Box>}
            </chakra.td>
          </chakra.tr>
        </tbody>
      </chakra.table>
    </Section>
  );
} // prettier-ignore
