import { Box, Button } from '@chakra-ui/react';
import { isMeasuredSize, measuredSize } from '@steady-scatter/core/fields';
import { evaluateSite } from '@steady-scatter/core/ground';
import type { AreaOrigin } from '@steady-scatter/core/worksheet';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/sheet';
import { useSheetForm } from '../sheet/sheet.tsx';
import { useDoc } from '../documents/docs.ts';
import { SITES } from '../kinds/useSites.ts';
import { useNotices } from '../notices/notices.tsx';

/** Where an area was chosen from; and its size there, when it was measured anew since. */
export default function SiteNote({ index, from }: { index: number; from: AreaOrigin }) {
  const form = useSheetForm();
  const notices = useNotices();
  const { data: site } = useDoc(SITES, from.site);
  const { size, unit } = useWatch({ control: form.control, name: `worksheet.areas.${index}` });
  const reading = useMemo(() => site && evaluateSite(site.input), [site]);
  const at = site?.input.areas.findIndex(({ id }) => id === from.area) ?? -1;
  const area = site?.input.areas[at];
  const read = reading?.areas[at];
  if (!site || !area || !read) return null;
  const { treatableM2, measured } = read;
  const now =
    treatableM2 === null || isMeasuredSize(size, unit, treatableM2, measured.bandM2)
      ? null
      : measuredSize(treatableM2, measured.bandM2, area.shownIn);
  const take = (text: string) => {
    form.setValue(`worksheet.areas.${index}.size`, text, { shouldDirty: true });
    notices.undoable(say('sheet.site.updated', { name: area.name }), () =>
      form.setValue(`worksheet.areas.${index}.size`, size, { shouldDirty: true }),
    );
  };
  return (
    <Box
      fontSize="15px"
      color="ink.soft"
      data-noprint
      display="flex"
      flexWrap="wrap"
      columnGap="10px"
      alignItems="center"
    >
      <span>
        {say('sheet.site.from')} <Link to={`/sites/${site.id}`}>{site.input.name}</Link>
      </span>
      {now !== null && (
        <>
          <Box color="warn" fontWeight="semibold">
            {say('sheet.site.measuredSince', { now })}
          </Box>
          <Button size="xs" minHeight="36px" onClick={() => take(now)}>
            {say('sheet.site.update')}
          </Button>
        </>
      )}
    </Box>
  );
}
