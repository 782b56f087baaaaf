import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { StormInput } from '@steady-scatter/core/season';
import { ArrowDown, ArrowUp, GripVertical, Plus, X } from 'lucide-react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/winter';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import { useWinterAreas, type TreatedArea } from '../useWinterAreas.ts';

type Stop = StormInput['route'][number];

const Grip = chakra('button', {
  base: { minWidth: '48px', minHeight: '48px', display: 'inline-flex', alignItems: 'center', justifyContent: 'center', cursor: 'grab', touchAction: 'none', color: 'ink.soft' },
}); // prettier-ignore

interface RowProps {
  stop: Stop;
  at: number;
  count: number;
  area: TreatedArea | undefined;
  move(from: number, to: number): void;
  remove(): void;
}

/** One area of the route: dragged by its grip, or moved by its arrows. */
function Row({ stop, at, count, area, move, remove }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: stop.id });
  const name = nameOf(area);
  return (
    <Box
      as="li"
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      display="flex"
      alignItems="center"
      gap="4px"
      borderBottomWidth="1px"
      borderColor="line"
      bg={isDragging ? 'soft' : undefined}
      position="relative"
      zIndex={isDragging ? 1 : undefined}
    >
      <Grip type="button" aria-label={say('winter.route.drag', { name })} {...attributes} {...listeners}>
        <GripVertical size={20} aria-hidden />
      </Grip>
      <Box width="28px" fontVariantNumeric="tabular-nums" fontWeight="bold">{at + 1}</Box>
      <Box flex="1" minWidth={0} overflowWrap="anywhere">{name}</Box>
      <IconButton aria-label={say('winter.route.up', { name })} variant="ghost" minHeight="touch" disabled={at === 0} onClick={() => move(at, at - 1)}>
        <ArrowUp size={18} />
      </IconButton>
      <IconButton aria-label={say('winter.route.down', { name })} variant="ghost" minHeight="touch" disabled={at === count - 1} onClick={() => move(at, at + 1)}>
        <ArrowDown size={18} />
      </IconButton>
      <IconButton aria-label={say('winter.route.remove', { name })} variant="ghost" minHeight="touch" onClick={remove}>
        <X size={18} />
      </IconButton>
    </Box>
  );
} // prettier-ignore

const nameOf = (area: TreatedArea | undefined): string =>
  area ? say('winter.route.area', { area: area.name, site: area.siteName }) : say('winter.route.gone');

/** What people who listen are told while an area is moved. */
function announcementsOf(route: readonly Stop[], areas: readonly TreatedArea[]): Announcements {
  const named = (id: UniqueIdentifier) => nameOf(areas.find((area) => area.id === route.find((stop) => stop.id === id)?.area));
  const place = (id: UniqueIdentifier | undefined) => route.findIndex((stop) => stop.id === id) + 1;
  const told = (how: 'picked' | 'over' | 'dropped' | 'back', id: UniqueIdentifier, over?: UniqueIdentifier) =>
    say('winter.route.told', { how, name: named(id), place: place(over ?? id), all: route.length });
  return {
    onDragStart: ({ active }) => told('picked', active.id),
    onDragOver: ({ active, over }) => told('over', active.id, over?.id),
    onDragEnd: ({ active, over }) => told('dropped', active.id, over?.id),
    onDragCancel: ({ active }) => told('back', active.id),
  };
} // prettier-ignore

/** The areas of a storm in the order in which they are treated. */
export function RouteList({ input, set }: Pick<DocFormProps<StormInput>, 'input' | 'set'>) {
  const areas = useWinterAreas();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { route } = input;
  const put = (next: readonly Stop[]) => set('route', next as never);
  const move = (from: number, to: number) => put(arrayMove([...route], from, to));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      move(route.findIndex(({ id }) => id === active.id), route.findIndex(({ id }) => id === over.id)); // prettier-ignore
  };
  const missing = (areas ?? []).filter(({ id }) => !route.some(({ area }) => area === id));
  return (
    <>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements: announcementsOf(route, areas ?? []),
          screenReaderInstructions: { draggable: say('winter.route.how') },
        }}
        onDragEnd={onDragEnd}
      >
        <SortableContext items={route.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <Box as="ul" listStyleType="none" maxWidth="760px">
            {route.map((stop, index) => (
              <Row
                key={stop.id}
                stop={stop}
                at={index}
                count={route.length}
                area={areas?.find(({ id }) => id === stop.area)}
                move={move}
                remove={() => put(route.filter(({ id }) => id !== stop.id))}
              />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
      <Box display="flex" flexWrap="wrap" gap="8px" marginTop="10px">
        {missing.map(({ id, site, name, siteName }) => (
          <Button key={id} minHeight="touch" onClick={() => put([...route, { id: newId(), site, area: id }])}>
            <Plus size={18} /> {say('winter.route.area', { area: name, site: siteName })}
          </Button>
        ))}
      </Box>
      {areas?.length === 0 && <Box>{say('winter.sites.none')}</Box>}
    </>
  );
}
