import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { useParams } from 'react-router';
import { say } from '@steady-scatter/words/record';
import { useApplications, type Subject } from '../kinds/useApplications.ts';
import { useRunSheet } from '../load/useRunSheet.ts';
import { LookBox } from './LookBox.tsx';
import { useDrift } from '../machine/useDrift.ts';
import { useSheetForm } from '../sheet/sheet.tsx';
import { DriftBox } from './DriftBox.tsx';
import { RecordForm } from './RecordForm.tsx';
import { RecordList } from './RecordList.tsx';
import { WhyBox } from './WhyBox.tsx';

/** The stop after the work: what was really put down, area by area, against what was meant; and how the machine drifts. */
export default function AfterStop() {
  const { id } = useParams();
  const subject = useMemo<Subject | null>(() => (id ? { kind: 'jobs', id } : null), [id]);
  return subject ? <Recorded subject={subject} /> : <Box fontSize="17px">{say('record.save.first')}</Box>;
}

const NONE: readonly never[] = [];

function Recorded({ subject }: { subject: Subject }) {
  const of = useRunSheet();
  const product = useWatch({ control: useSheetForm().control, name: 'worksheet.product' });
  const rows = useApplications(subject.id, true);
  const drift = useDrift(of.rig, product.name || product.grade);
  // One form wherever it stands: what is typed outlives the records that come meanwhile.
  const form = <RecordForm key="form" subject={subject} of={of} />;
  const isFirst = rows?.length === 0;
  return (
    <>
      {isFirst && form}
      <RecordList rows={rows ?? []} subject={subject} />
      <LookBox rows={rows ?? NONE} subject={subject.id} />
      <WhyBox rows={rows ?? []} of={of} />
      {drift && <DriftBox drift={drift} />}
      {!isFirst && form}
    </>
  );
}
