import { Box, Button, chakra } from '@chakra-ui/react';
import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  pointerWithin,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { daysLater, grouped } from '@steady-scatter/core/fields';
import { monthLater, openingMonth, weeksFrom, type PortionGroup } from '@steady-scatter/core/plan';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { memo, useCallback, useMemo, useRef, useState } from 'react';
import { say } from '@steady-scatter/words/plans';
import { dayText } from '../ui/dayText.ts';
import { brokenOf, groupState, plannedOf, stateText, whyText } from './planTexts.ts';
import { brokenOn, type PlanView } from './usePlan.ts';

interface Props {
  groups: readonly PortionGroup[];
  view: PlanView;
  onOpen(ids: ReadonlySet<string>): void;
  onMove(group: PortionGroup, day: string): void;
}

const MONTH = new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' });
const LONG_MONTH = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });
const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' });
const timeOf = (day: string): number => Date.parse(`${day}T00:00:00Z`);

const STRIPES = 'repeating-linear-gradient(135deg, transparent 0 5px, var(--chakra-colors-line) 5px 6px)';
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

/** What a portion is called in a narrow place: its grade where its name has one. */
const shortName = (name: string): string => /\d+-\d+-\d+/.exec(name)?.[0] ?? name;

const Chip = chakra('button', {
  base: {
    display: 'block', width: '100%', minHeight: { base: '44px', md: '36px' }, padding: { base: '2px', md: '3px 7px' }, borderRadius: '5px', borderWidth: '2px', borderColor: 'act',
    bg: 'paper', color: 'ink', fontSize: { base: '12px', md: '14px' }, lineHeight: 1.15, textAlign: 'left', cursor: 'grab', touchAction: 'none', overflowWrap: 'anywhere',
    '&[data-state=done]': { borderColor: 'line', bg: 'soft', cursor: 'pointer' },
    '&[data-state=held]': { borderStyle: 'dashed' },
    '&[data-state=missed], &[data-broken]': { borderColor: 'warn', color: 'warn' },
  },
}); // prettier-ignore

/** Picked up with space; Enter opens it. */
const KEYS = { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] };

/** Under the pointer where there is one, else where its middle is. */
const collide: CollisionDetection = (args) => args.pointerCoordinates ? pointerWithin(args) : closestCenter(args); // prettier-ignore

/** By a day to the sides, by a week up and down, as far as the calendar is shown; however quickly the keys come. */
function useKeysByDay() {
  /** The day that it is held over by the keys so far: what is drawn comes later. */
  const held = useRef('');
  const move = useCallback<KeyboardCoordinateGetter>(
    (event, { context: { droppableRects, collisionRect } }) => {
      const by = STEPS[event.code];
      if (by === undefined) return undefined;
      event.preventDefault();
      const next = daysLater(held.current, by);
      const rect = droppableRects.get(next);
      if (!rect) return undefined;
      held.current = next;
      const inMiddle = (from: number, room: number, size: number | undefined) =>
        from + (room - (size ?? 0)) / 2;
      return { x: inMiddle(rect.left, rect.width, collisionRect?.width), y: inMiddle(rect.top, rect.height, collisionRect?.height) }; // prettier-ignore
    },
    [],
  );
  const begin = useCallback((day: string) => {
    held.current = day;
  }, []);
  return { begin, move };
}

/** The day at a place of the screen, whatever lies over it. */
const dayAt = (x: number, y: number): string | null =>
  document
    .elementsFromPoint(x, y)
    .map((each) => each.getAttribute('data-day'))
    .find((day) => day !== null) ?? null;

/** Where the pointer let go: what is drawn comes later, and a quick hand is further by then. */
function useLetGo({ fromDay, toDay }: PlanView['input']) {
  /** Undefined: it is moved by keys, or not let go. */
  const under = useRef<string | null>(undefined);
  const begin = (activator: Event) => {
    under.current = undefined;
    if (!(activator instanceof PointerEvent)) return;
    const note = ({ clientX, clientY }: PointerEvent) => {
      under.current = dayAt(clientX, clientY);
    };
    window.addEventListener('pointerup', note, { capture: true, once: true });
  };
  /** The day that it was dropped on; null: beside the plan. */
  const dropDay: DropDay = (over) => {
    const day = under.current === undefined ? (over && String(over.id)) : under.current;
    return day !== null && day >= fromDay && day <= toDay ? day : null;
  };
  return { begin, dropDay };
} // prettier-ignore

type DropDay = (over: DragEndEvent['over']) => string | null;

interface ChipProps {
  group: PortionGroup;
  view: PlanView;
  onOpen(ids: ReadonlySet<string>): void;
}

/** What a chip shows: what, and how many areas. */
function ChipFace({ group }: { group: PortionGroup }) {
  const [{ productName, siteName }] = group.portions as [PortionGroup['portions'][number]];
  const count = group.portions.length;
  return (
    <>
      <chakra.span hideFrom="md">{shortName(productName)}</chakra.span>
      <chakra.span hideBelow="md">
        <b>{shortName(productName)}</b> {siteName}{count > 1 && `, ${say('plans.areas', { count })}`}
      </chakra.span>
    </>
  );
} // prettier-ignore

function GroupChip({ group, view, onOpen }: ChipProps) {
  const [{ productName, siteName, onDay }] = group.portions as [PortionGroup['portions'][number]];
  const state = groupState(group, view);
  const broken = brokenOf(group, view).length > 0;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id: group.id, data: { onDay }, disabled: state === 'done' }); // prettier-ignore
  const said = broken && state !== 'missed' ? say('plans.state.broken') : stateText(group, view);
  return (
    <Chip
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-disabled={undefined}
      data-state={state}
      {...(broken && { 'data-broken': '' })}
      aria-label={say('plans.chip', { what: `${productName}, ${siteName}`, areas: say('plans.areas', { count: group.portions.length }), day: dayText(onDay), state: said })} // prettier-ignore
      opacity={isDragging ? 0.4 : 1}
      onClick={() => onOpen(new Set(group.portions.map(({ id }) => id)))}
    >
      {(broken || state === 'missed') && <span aria-hidden>▲ </span>}
      {state === 'done' && <span aria-hidden>✓ </span>}
      <ChipFace group={group} />
    </Chip>
  );
}

interface DayProps extends Pick<ChipProps, 'view' | 'onOpen'> {
  day: string;
  groups: readonly PortionGroup[];
  isOver: boolean;
}

const Day = memo(function DayOf({ day, groups, view, onOpen, isOver }: DayProps) {
  const { fromDay, toDay } = view.input;
  const isIn = day >= fromDay && day <= toDay;
  const { setNodeRef } = useDroppable({ id: day, disabled: !isIn });
  const isClosed = isIn && view.isClosed(day);
  const number = Number(day.slice(8));
  return (
    <Box
      ref={setNodeRef}
      data-day={day}
      minWidth={0}
      minHeight={{ base: '48px', md: '40px' }}
      padding="2px 3px 4px"
      borderWidth="1px"
      borderColor={isOver ? 'act' : 'line'}
      outline={isOver || day === view.today ? '2px solid' : undefined}
      outlineColor={isOver ? 'act' : 'tape'}
      outlineOffset="-2px"
      bg={!isIn ? 'soft' : Number(day.slice(5, 7)) % 2 === 0 ? 'paper' : 'ground'}
      css={isClosed ? { backgroundImage: STRIPES } : undefined}
    >
      <Box fontSize="13px" color="ink.soft" fontWeight={number === 1 ? 'bold' : undefined}>
        {isIn && (number === 1 ? `${MONTH.format(timeOf(day))} 1` : number)}
        {isClosed && <chakra.span srOnly> {say('plans.closed')}</chakra.span>}
      </Box>
      <Box display="grid" gap="3px">
        {groups.map((group) => <GroupChip key={group.id} group={group} view={view} onOpen={onOpen} />)}
      </Box>
    </Box>
  );
}); // prettier-ignore

/** What people who listen are told while a portion is moved. */
function announcementsOf(groups: readonly PortionGroup[], view: PlanView, dropDay: DropDay): Announcements {
  const of = (id: unknown) => groups.find((group) => group.id === id);
  const why = (group: PortionGroup, day: string) => whyText(view, plannedOf(group, view), day, brokenOn(view, plannedOf(group, view), day)); // prettier-ignore
  const told = (how: 'picked' | 'back', id: unknown) => {
    const group = of(id);
    return group && say('plans.drag.told', { how, what: group.portions[0]!.productName, day: dayText(group.portions[0]!.onDay) }); // prettier-ignore
  };
  return {
    onDragStart: ({ active }) => told('picked', active.id),
    onDragOver({ active, over }) {
      const group = of(active.id);
      return group && over ? say('plans.drag.over', { day: dayText(String(over.id)), why: why(group, String(over.id)) }) : undefined; // prettier-ignore
    },
    onDragEnd({ active, over }) {
      const [group, day] = [of(active.id), dropDay(over)];
      return group && day !== null ? say('plans.drag.dropped', { what: group.portions[0]!.productName, day: dayText(day), why: why(group, day) }) : told('back', active.id); // prettier-ignore
    },
    onDragCancel: ({ active }) => told('back', active.id),
  };
}

/** What stands against the day that a portion is held over. */
function DragLine({ group, day, view }: { group: PortionGroup | undefined; day: string | null; view: PlanView }) {
  const portions = group ? plannedOf(group, view) : [];
  const broken = day === null ? [] : brokenOn(view, portions, day);
  return (
    <Box minHeight="28px" fontSize="17px" fontWeight={day === null ? undefined : 'semibold'} color={broken.length > 0 ? 'warn' : 'ink.soft'} data-noprint position="sticky" top="0" bg="ground" zIndex="2">
      {day === null ? say('plans.drag.hint') : <>{broken.length > 0 && '▲ '}{say('plans.drag.over', { day: dayText(day), why: whyText(view, portions, day, broken) })}</>}
    </Box>
  );
} // prettier-ignore

/** A quarter of a year in weeks: portions are dragged from day to day, by pointer or by keys, and rules speak at once. */
export function PlanCalendar({ groups, view, onOpen, onMove }: Props) {
  const { fromDay } = view.input;
  const openAt = () => openingMonth(view.open.map(({ input }) => input.onDay), view.today, fromDay); // prettier-ignore
  const [month, setMonth] = useState(openAt);
  // Another span, and the first portions that come, are shown where they are; what is moved stays in sight.
  const [of, setOf] = useState({ fromDay, isEmpty: groups.length === 0 });
  if (of.fromDay !== fromDay || of.isEmpty !== (groups.length === 0)) {
    setOf({ fromDay, isEmpty: groups.length === 0 });
    setMonth(openAt());
  }
  const [drag, setDrag] = useState<{ readonly group: PortionGroup; readonly day: string | null } | null>(null); // prettier-ignore
  const keys = useKeysByDay();
  const letGo = useLetGo(view.input);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: keys.move, keyboardCodes: KEYS }),
  );
  const weeks = useMemo(() => weeksFrom(month), [month]);
  const byDay = useMemo(() => grouped(groups, ({ portions }) => portions[0]!.onDay), [groups]);
  const onDragEnd = ({ over }: DragEndEvent) => {
    const [group, day] = [drag?.group, letGo.dropDay(over)];
    setDrag(null);
    if (group && day !== null && day !== group.portions[0]!.onDay) onMove(group, day);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collide}
      accessibility={{ announcements: announcementsOf(groups, view, letGo.dropDay), screenReaderInstructions: { draggable: say('plans.how') } }}
      onDragStart={({ active, activatorEvent }) => {
        letGo.begin(activatorEvent);
        const group = groups.find(({ id }) => id === active.id)!;
        keys.begin(group.portions[0]!.onDay);
        setDrag({ group, day: null });
      }}
      onDragOver={({ over }) => setDrag((now) => now && { ...now, day: over === null ? null : String(over.id) })}
      onDragCancel={() => setDrag(null)}
      onDragEnd={onDragEnd}
    >
      <Box display="flex" flexWrap="wrap" gap="8px" alignItems="center" marginBottom="6px">
        <Button minHeight="touch" aria-label={say('plans.earlier')} data-noprint onClick={() => setMonth(monthLater(month, -1))}><ChevronLeft size={20} aria-hidden /></Button>
        <Button minHeight="touch" aria-label={say('plans.later')} data-noprint onClick={() => setMonth(monthLater(month, 1))}><ChevronRight size={20} aria-hidden /></Button>
        <Box fontSize="17px" fontWeight="bold" aria-live="polite">{say('plans.weeks', { month: LONG_MONTH.format(timeOf(`${month}-01`)) })}</Box>
      </Box>
      <DragLine group={drag?.group} day={drag?.day ?? null} view={view} />
      <Box display="grid" gridTemplateColumns="repeat(7, minmax(0, 1fr))" fontSize="14px" color="ink.soft" fontWeight="semibold" aria-hidden>
        {weeks[0]!.map((day) => <Box key={day} paddingX="4px">{WEEKDAY.format(timeOf(day))}</Box>)}
      </Box>
      {weeks.map((week) => (
        <Box key={week[0]} role="group" aria-label={say('plans.week', { day: dayText(week[0]!) })} display="grid" gridTemplateColumns="repeat(7, minmax(0, 1fr))">
          {week.map((day) => <Day key={day} day={day} groups={byDay.get(day) ?? NO_GROUPS} view={view} onOpen={onOpen} isOver={drag?.day === day} />)}
        </Box>
      ))}
      <DragOverlay dropAnimation={null}>{drag && <Chip as="div" boxShadow="lg"><ChipFace group={drag.group} /></Chip>}</DragOverlay>
    </DndContext>
  );
} // prettier-ignore

const NO_GROUPS: readonly PortionGroup[] = [];
