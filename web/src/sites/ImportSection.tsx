import { Box, Button, chakra, Progress } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { lengthUnitFor } from '@steady-scatter/core/fields';
import {
  blankSiteArea,
  readPlace,
  MAX_SITE_AREAS,
  type BoundaryInput,
  type SiteAreaInput,
  type SiteInput,
  type Surveyed,
} from '@steady-scatter/core/ground';
import { showExact, showNumber, showQuantity, type LengthUnit } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/sites';
import { useSystem } from '../settings/useSystem.ts';
import { FileDrop } from '../ui/FileDrop.tsx';
import { Section } from '../ui/Section.tsx';
import { OutlinePicture } from './OutlinePicture.tsx';
import { useBoundaryFile } from './useBoundaryFile.ts';

interface Props {
  site: SiteInput;
  onTake(areas: readonly SiteAreaInput[], place: SiteInput['place']): void;
}

/** How far a point may be off, as text to be typed over. */
const offOf = ({ offM }: Surveyed, unit: LengthUnit): string => {
  if (offM === null) return '';
  const { number } = showQuantity(offM, unit, 2);
  return `${number} ${unit}`;
};

function partsOf(found: Surveyed, file: string, unit: LengthUnit): BoundaryInput[] {
  const told = `${file}${found.kind === 'walk' ? say('sites.file.walked') : ''}`.slice(0, 300);
  return found.pieces.map((outlines) => ({
    id: newId(),
    kind: 'boundary',
    cut: false,
    outlines: outlines.map((outline) => outline.map(({ x, y }) => [x, y] as const)),
    from: told,
    off: offOf(found, unit),
    unit,
    at: { x: 0, y: 0, turn: 0 },
  }));
}

/** What was done to an edge on its way in, in sentences. */
function sentences(found: Surveyed, unit: LengthUnit): string[] {
  const { kind, points, corners, changed, gapM, isOpen, jitterM, crossed, pieces } = found;
  const length = (m: number) => {
    const { number, unit: symbol } = showQuantity(m, unit, 2);
    return `${number} ${symbol}`;
  };
  return [
    say('sites.file.points', {
      points: showExact(points),
      isCut: corners < points ? 'yes' : 'no',
      corners: showExact(corners),
      percent: showNumber(changed * 100, 2),
    }),
    ...(kind === 'walk' && gapM > 0.01
      ? [isOpen ? say('sites.file.gapGuess', { gap: length(gapM) }) : say('sites.file.gapClosed', { gap: length(gapM) })] // prettier-ignore
      : []),
    ...(kind === 'walk' && jitterM > 0 ? [say('sites.file.jitter', { jitter: length(jitterM) })] : []),
    ...(crossed ? [say('sites.file.crosses', { pieces: pieces.length })] : []), // prettier-ignore
  ];
}

/** Brings areas in from a boundary file: looked at first, then taken, all of it or what is wanted of it. */
export default function ImportSection({ site, onTake }: Props) {
  const [asked, setAsked] = useState<{ file: File; swapped: boolean } | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const place = toResult(() => readPlace(site.place, 'place')).value;
  const { preview, trouble, share, isReading } = useBoundaryFile(asked, place);
  const system = useSystem();
  const sizeUnit = site.areas[0]?.shownIn ?? (system === 'us' ? 'ft2' : 'm2');
  const unit = lengthUnitFor(sizeUnit);
  const wanted = preview?.found.filter((_, index) => !left.has(index)) ?? [];
  const room = MAX_SITE_AREAS - site.areas.length;

  function take() {
    if (!preview || !asked) return;
    const blank: SiteAreaInput = { ...blankSiteArea('', system), layoutMode: 'placed', shownIn: sizeUnit };
    const fileName = asked.file.name.replace(/\.\w+$/, '');
    const areas = wanted.map((found, index) => {
      const name = found.name || (wanted.length > 1 ? `${fileName} ${index + 1}` : fileName);
      const parts = partsOf(found, asked.file.name, unit);
      return Object.assign({}, blank, { id: newId(), name: name.slice(0, 120), parts });
    });
    const known =
      preview.place && !place
        ? { lat: showExact(preview.place.latDeg, 9), lon: showExact(preview.place.lonDeg, 9) }
        : site.place;
    onTake(areas, known);
  }

  return (
    <Section heading={say('sites.file.heading')} noPrint>
      <FileDrop
        accept=".geojson,.json,.kml,.gpx,.csv,.txt"
        act={say('sites.file.choose')}
        onFile={(file) => {
          setLeft(new Set());
          setAsked({ file, swapped: false });
        }}
      >
        {say('sites.file.drop')}
      </FileDrop>
      {isReading && (
        <Progress.Root value={share * 100} maxWidth="460px" aria-label={say('sites.file.reading')}>
          <Progress.Track>
            <Progress.Range />
          </Progress.Track>
        </Progress.Root>
      )}
      {trouble && (
        <Box role="alert" color="warn" fontWeight="semibold" maxWidth="760px">
          ▲ {trouble.sentence}{' '}
          {trouble.looksSwapped && asked && (
            <Button size="sm" onClick={() => setAsked({ ...asked, swapped: true })}>
              {say('sites.file.swap')}
            </Button>
          )}
        </Box>
      )}
      {preview && (
        <>
          <Box as="ul" listStyleType="none" maxWidth="860px">
            {preview.found.map((found, index) => {
              const { number, unit: symbol } = showQuantity(found.areaM2, sizeUnit, 5);
              return (
                <Box
                  as="li"
                  // oxlint-disable-next-line react/no-array-index-key -- edges of a file are known by their place in it
                  key={index}
                  display="flex"
                  gap="14px"
                  alignItems="center"
                  borderTopWidth="1px"
                  borderColor="line"
                  paddingY="8px"
                >
                  <OutlinePicture pieces={found.pieces} />
                  <chakra.label
                    display="flex"
                    gap="10px"
                    alignItems="center"
                    minHeight="44px"
                    minWidth={0}
                    flex={1}
                  >
                    <chakra.input
                      type="checkbox"
                      width="22px"
                      height="22px"
                      flexShrink={0}
                      accentColor="act"
                      checked={!left.has(index)}
                      onChange={() =>
                        setLeft((before) => {
                          const next = new Set(before);
                          if (!next.delete(index)) next.add(index);
                          return next;
                        })
                      }
                    />
                    <Box minWidth={0}>
                      <b>{found.name || say('sites.file.boundary', { number: index + 1 })}</b>, {number}{' '}
                      {symbol}
                      <Box fontSize="15px" color="ink.soft">
                        {sentences(found, unit).join(' ')}
                      </Box>
                    </Box>
                  </chakra.label>
                </Box>
              );
            })}
          </Box>
          <Button
            variant="solid"
            marginTop="10px"
            disabled={wanted.length === 0 || wanted.length > room}
            onClick={take}
          >
            {wanted.length === 1
              ? say('sites.file.takeOne')
              : say('sites.file.takeMany', { count: wanted.length })}
          </Button>
          {wanted.length > room && (
            <Box marginTop="6px">{say('sites.file.full', { max: MAX_SITE_AREAS, room })}</Box>
          )}
        </>
      )}
    </Section>
  );
}
