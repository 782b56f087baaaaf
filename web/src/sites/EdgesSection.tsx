import { Box, Button, IconButton } from '@chakra-ui/react';
import { lengthUnitFor } from '@steady-scatter/core/fields';
import {
  ALONG,
  blankEdge,
  EDGE_KINDS,
  partName,
  type Along,
  type EdgeKind,
  type EdgeInput,
} from '@steady-scatter/core/ground';
import { Plus, Trash2 } from 'lucide-react';
import { v7 as newId } from 'uuid';
import { nameOf, say, speak } from '@steady-scatter/words/sites';
import { Choice } from '../ui/Choice.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import type { AreaProps } from './AreaSheet.tsx';

const OF = EDGE_KINDS.map((id) => ({ id, label: nameOf('edge', id) }));
const WHERE = ALONG.map((id) => ({ id, label: nameOf('along', id) }));

interface RowProps extends AreaProps {
  edge: EdgeInput;
  at: number;
}

function EdgeRow({ edge, at, area, errorAt, bind, field, set, removeAt }: RowProps) {
  const text = (name: 'from' | 'to' | 'length' | 'buffer', label: string, placeholder: string) => (
    <LabelledField label={label} placeholder={placeholder} {...field(`edges.${at}.${name}`)} />
  );
  return (
    <Box borderBottomWidth="1px" borderColor="line" paddingY="8px">
      <Box
        display="grid"
        gap="10px"
        gridTemplateColumns="repeat(auto-fill, minmax(132px, 1fr))"
        alignItems="start"
      >
        <Choice<EdgeKind> label={say('sites.edge.borders')} options={OF} {...bind(`edges.${at}.kind`)} />
        <Choice<Along> label={say('sites.edge.where')} options={WHERE} {...bind(`edges.${at}.along`)} />
        {edge.along === 'side' && area.parts.length > 1 && (
          <Choice
            label={say('sites.edge.part')}
            value={edge.part || (area.parts[0]?.id ?? '')}
            options={area.parts.map((part) => ({ id: part.id, label: speak(partName(part)) }))}
            onChange={(part) => set(`edges.${at}.part`, part)}
          />
        )}
        {edge.along === 'side' && text('from', say('sites.edge.from'), '1')}
        {edge.along === 'side' && text('to', say('sites.edge.to'), '2')}
        {edge.along === 'length' && text('length', say('sites.edge.length'), '60 ft')}
        {text('buffer', say('sites.edge.distance'), 'none')}
        <Box alignSelf="end">
          <IconButton
            aria-label={say('sites.edge.remove', { kind: nameOf('edge', edge.kind) })}
            variant="ghost"
            color="ink.soft"
            minWidth="44px"
            minHeight="44px"
            onClick={() => removeAt('edges', at)}
          >
            <Trash2 size={18} />
          </IconButton>
        </Box>
      </Box>
      <FieldErrors error={errorAt(`edges.${at}.along`) ?? errorAt(`edges.${at}.part`)} input="" />
    </Box>
  );
}

/** Edges that matter, with the distance to keep from each. */
export function EdgesSection(props: AreaProps) {
  const { area, add } = props;
  return (
    <Section heading={say('sites.edge.heading')} noPrint={area.edges.length === 0}>
      {area.edges.map((edge, index) => (
        <EdgeRow key={edge.id} {...props} edge={edge} at={index} />
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        disabled={area.edges.length >= 40}
        onClick={() => add('edges', blankEdge(newId(), lengthUnitFor(area.shownIn)))}
      >
        <Plus size={18} /> {say('sites.edge.add')}
      </Button>
    </Section>
  );
}
