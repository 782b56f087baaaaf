import { lengthUnitFor } from '@steady-scatter/core/fields';
import { aboutOf } from './useHistory.ts';
import {
  blankPart,
  MAX_PARTS,
  placeFor,
  evaluateSiteArea,
  snapStepM,
  type PacesResult,
  type PartInput,
  type QuickPart,
  type ShapeKind,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import type { LengthUnit } from '@steady-scatter/core/quantities';
import { v7 as newId } from 'uuid';
import { useMemo } from 'react';
import { say } from '@steady-scatter/words/sites';
import { useNotices } from '../notices/notices.tsx';

type Notices = ReturnType<typeof useNotices>;

interface Wanted {
  area: SiteAreaInput;
  paces: PacesResult;
  onChange(area: SiteAreaInput, about: string): void;
  choose(id: string | null): void;
}

/** What can be done to the parts of an area. */
export interface PartActs {
  /** Adds a part that was called out; says why when there are too many. */
  addQuick(called: QuickPart): void;
  /** Adds a shape to be filled in; corners on a drawing begin with a square to drag. */
  addShape(kind: ShapeKind): void;
  set(part: PartInput, about: string): void;
  remove(id: string): void;
  /** Moves or turns a part by steps. */
  nudge(id: string, by: { x: number; y: number; turn: number }): void;
}

const SQUARE = ['0', '0', '10', '0', '10', '10', '0', '10'];

/** A new part is measured the way the last one was. */
function likeLast(area: SiteAreaInput): { unit: LengthUnit; by: 'tape' | 'wheel' | 'paces' | 'estimate' } {
  const last = area.parts.findLast((part) => part.kind !== 'boundary');
  if (last) return { unit: last.unit, by: last.by };
  return { unit: lengthUnitFor(area.shownIn), by: 'tape' };
}

const partActs = ({ area, paces, onChange, choose }: Wanted, notices: Notices): PartActs => {
  const withParts = (parts: readonly PartInput[]): SiteAreaInput => ({ ...area, parts });
  const add = (kind: ShapeKind, cut: boolean, lengths: readonly string[]) => {
    if (area.parts.length >= MAX_PARTS) {
      notices.tell(say('sites.part.full', { max: MAX_PARTS }));
      return;
    }
    const { unit, by } = likeLast(area);
    const id = newId();
    const { x, y } = placeFor(cut, evaluateSiteArea(area, paces, '').measured.ground);
    const part = { ...blankPart(kind, unit, id), cut, by, at: { x, y, turn: 0 } };
    onChange(withParts([...area.parts, lengths.length > 0 ? { ...part, lengths } : part]), '');
    choose(id);
  };
  return {
    addQuick: ({ kind, cut, lengths }) => add(kind, cut, lengths),
    addShape: (kind) => add(kind, false, kind === 'polygon' ? SQUARE : []),
    set: (part, about) =>
      onChange(
        withParts(area.parts.map((old) => (old.id === part.id ? part : old))),
        aboutOf(part.id, about),
      ),
    remove(id) {
      const index = area.parts.findIndex((part) => part.id === id);
      if (index < 0) return;
      onChange(withParts(area.parts.toSpliced(index, 1)), '');
      choose(null);
    },
    nudge(id, by) {
      const part = area.parts.find((candidate) => candidate.id === id);
      if (!part || area.layoutMode === 'sum') return;
      const step = snapStepM(part.unit);
      const { x, y, turn } = part.at;
      const at = { x: x + by.x * step, y: y + by.y * step, turn: (turn + by.turn) % 360 };
      onChange(withParts(area.parts.map((old) => (old.id === id ? { ...old, at } : old))), `${id}.nudge`);
    },
  };
};

/** The acts stay the same while a part is dragged, so that what does not change is not drawn anew. */
export function usePartActs({ area, paces, onChange, choose }: Wanted): PartActs {
  const notices = useNotices();
  return useMemo(
    () => partActs({ area, paces, onChange, choose }, notices),
    [area, paces, onChange, choose, notices],
  );
}
