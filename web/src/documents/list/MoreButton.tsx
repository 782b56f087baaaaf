import { Button } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/common';

interface Props {
  list: {
    readonly data?: { readonly lines: readonly unknown[]; readonly total: number } | undefined;
    readonly hasNextPage: boolean;
    readonly isFetchingNextPage: boolean;
    fetchNextPage(): unknown;
  };
  /** What they are called. */
  many: string;
}

/** Asks for the next page of a list; nothing where there is none. */
export const MoreButton = ({ list, many }: Props) =>
  list.hasNextPage && (
    <Button
      marginTop="12px"
      minHeight="44px"
      loading={list.isFetchingNextPage}
      onClick={() => void list.fetchNextPage()}
    >
      {say('common.showMore', { total: list.data?.total ?? 0, many })}
    </Button>
  );
