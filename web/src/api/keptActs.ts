import { queries } from './queries.ts';

/** The calls that keep one kind of thing. */
export interface KeptCalls<Wire, Write> {
  write(id: string, write: Write): Promise<Wire>;
  remove(id: string): Promise<unknown>;
  restore(id: string): Promise<Wire>;
}

/** Keeps, deletes and restores one kind of thing, and refreshes what is shown of it. */
export interface KeptActs<Wire, Write> extends KeptCalls<Wire, Write> {
  /** Shows what somebody else kept as what stands there now. */
  adopt(wire: Wire): Promise<void>;
  /** Fetches the list anew. */
  refresh(): Promise<void>;
}

/**
 * @param root first part of the kind's query keys: its list stands at [root], one thing at [root, id]
 */
export function keptActs<Wire extends { id: string }, Write>(
  root: string,
  calls: KeptCalls<Wire, Write>,
): KeptActs<Wire, Write> {
  const refresh = () => queries.invalidateQueries({ queryKey: [root], exact: true });
  const adopt = async (wire: Wire) => {
    queries.setQueryData([root, wire.id], wire);
    await refresh();
  };
  const held = async (done: Promise<Wire>) => {
    const wire = await done;
    await adopt(wire);
    return wire;
  };
  return {
    write: (id, write) => held(calls.write(id, write)),
    async remove(id) {
      await calls.remove(id);
      queries.removeQueries({ queryKey: [root, id] });
      await refresh();
    },
    restore: (id) => held(calls.restore(id)),
    adopt,
    refresh,
  };
}
