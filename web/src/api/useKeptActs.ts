import { useMutation, useQueryClient } from '@tanstack/react-query';

/** The calls that keep one kind of thing. */
export interface KeptCalls<Wire, Write> {
  write(id: string, write: Write): Promise<Wire>;
  remove(id: string): Promise<unknown>;
  restore(id: string): Promise<Wire>;
}

/**
 * Keeps, deletes and restores one kind of thing, and refreshes what is shown of it.
 *
 * @param root first part of its query keys: the list stands at [root], one thing at [root, id]
 */
export function useKeptActs<Wire extends { id: string }, Write>(root: string, calls: KeptCalls<Wire, Write>) {
  const client = useQueryClient();
  const refreshList = () => client.invalidateQueries({ queryKey: [root], exact: true });
  const hold = async (kept: Wire) => {
    client.setQueryData([root, kept.id], kept);
    await refreshList();
  };
  const keep = useMutation({
    mutationFn: ({ id, write }: { id: string; write: Write }) => calls.write(id, write),
    onSuccess: hold,
  });
  const remove = useMutation({
    mutationFn: (id: string) => calls.remove(id),
    onSuccess: async (_, id) => {
      client.removeQueries({ queryKey: [root, id] });
      await refreshList();
    },
  });
  const restore = useMutation({ mutationFn: (id: string) => calls.restore(id), onSuccess: hold });
  return {
    keep,
    remove,
    restore,
    /** Shows what somebody else kept as what stands there now. */ adopt: hold,
  };
}
