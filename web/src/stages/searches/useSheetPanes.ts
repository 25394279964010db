import { useSearchParams } from 'react-router';

/** In place of another database beside this one: all of them. */
export const IN_ALL = 'all';

type Pane = 'versions' | 'peer-review';

/** What stands beside the sheet, or in its place, as the address tells it: it can be sent and is there after a reload. */
export function useSheetPanes() {
  const [params, setParams] = useSearchParams();
  const beside = params.get('beside');
  return {
    inVersions: params.get('versions') === 'yes',
    inPeerReview: params.get('peer-review') === 'yes',
    inAll: beside === IN_ALL,
    /** the id of the database whose sheet stands beside; null for none */
    beside: beside === IN_ALL ? null : beside,
    showPane: (pane: Pane, shown: boolean) =>
      setParams((before) => {
        before.delete('versions');
        before.delete('peer-review');
        if (shown) before.set(pane, 'yes');
        return before;
      }),
    showBeside: (id: string | null) =>
      setParams((before) => {
        if (id === null) before.delete('beside');
        else before.set('beside', id);
        return before;
      }),
  };
}

export type SheetPanes = ReturnType<typeof useSheetPanes>;
