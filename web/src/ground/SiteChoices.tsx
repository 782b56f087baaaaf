import { Box, Button, chakra } from '@chakra-ui/react';
import { MAX_AREAS, type AreaInput } from '@steady-scatter/core/worksheet';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/sheet';
import { explain } from '../api/explain.ts';
import { useSome } from '../documents/docs.ts';
import { FEW, SearchField } from '../documents/SearchField.tsx';
import { useChoices } from '../documents/useChoices.ts';
import { SITES } from '../kinds/useSites.ts';
import { siteAreas, type SiteArea } from './siteAreas.ts';
import type { PanelPlace } from '../ui/PanelButton.tsx';
import { SmallPanel } from '../ui/SmallPanel.tsx';

const Choice = chakra('button', {
  base: {
    display: 'flex',
    gap: '8px',
    width: '100%',
    padding: '8px 10px',
    minHeight: '40px',
    borderRadius: '6px',
    textAlign: 'left',
    cursor: 'pointer',
    _hover: { bg: 'soft' },
    _disabled: { cursor: 'default', color: 'ink.soft' },
    '@media (pointer: coarse)': { minHeight: '48px' },
  },
});

interface Props {
  place: PanelPlace;
  /** Areas of the sheet. */
  chosen: readonly AreaInput[];
  onChoose(areas: readonly AreaInput[]): void;
}

/** Areas of the sites, to be put on the sheet with the size and the band they have now. */
export default function SiteChoices({ place, chosen, onChoose }: Props) {
  const { value, onChange, found, total, hasCome, error: listError } = useChoices(SITES, ({ name, areaNames }) => [name, ...areaNames].join(' ')); // prettier-ignore
  const { data: sites = [], error: docsError } = useSome(SITES, found.slice(0, FEW).map(({ id }) => id)); // prettier-ignore
  const error = listError ?? docsError;
  const more = (total ?? found.length) - FEW;
  const isChosen = ({ from }: AreaInput) => chosen.some((area) => area.from?.area === from?.area);
  const room = MAX_AREAS - chosen.length;
  const choose = (areas: readonly SiteArea[]) => onChoose(areas.slice(0, room).map(({ area }) => area));
  return (
    <SmallPanel place={place} label={say('sheet.site.choices')} width="360px">
      {error && sites.length === 0 && <Box>{explain(error)}</Box>}
      {(value !== '' || more > 0) && (
        <Box marginBottom="8px">
          <SearchField label={say('sheet.site.search')} value={value} onChange={onChange} />
        </Box>
      )}
      {hasCome && value === '' && found.length === 0 && (
        <Box>
          {say('sheet.site.none')} <Link to="/sites/new">{say('sheet.site.measure')}</Link>
          {say('sheet.site.noneThen')}
        </Box>
      )}
      {sites.map((site) => {
        const choices = siteAreas(site);
        const left = choices.filter(({ area, isTreated }) => isTreated && !isChosen(area));
        return (
          <Box key={site.id} marginBottom="10px">
            <Box display="flex" justifyContent="space-between" alignItems="center" gap="8px">
              <Box fontWeight="bold" paddingX="10px">
                {site.input.name}
              </Box>
              {left.length > 1 && (
                <Button size="xs" minHeight="36px" onClick={() => choose(left)}>
                  {say('sheet.site.all', { count: left.length })}
                </Button>
              )}
            </Box>
            {choices.map((choice) => {
              const { area, isTreated } = choice;
              return (
                <Choice
                  key={area.from?.area}
                  type="button"
                  disabled={isChosen(area) || room <= 0}
                  onClick={() => choose([choice])}
                >
                  <chakra.span flex={1} overflowWrap="anywhere">
                    {area.name}
                    {!isTreated && say('sheet.site.notTreated')}
                  </chakra.span>
                  <chakra.span whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                    {area.size}
                  </chakra.span>
                  {isChosen(area) && <Check size={18} aria-label={say('sheet.site.onSheet')} />}
                </Choice>
              );
            })}
          </Box>
        );
      })}
      {more > 0 && (
        <Box fontSize="14px" color="ink.soft" padding="6px 10px">
          {say('sheet.site.more', { more })}
        </Box>
      )}
    </SmallPanel>
  );
}
