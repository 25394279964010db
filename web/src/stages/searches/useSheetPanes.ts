import { useSearchParams } from 'react-router';
import { IN_ALL } from './SearchesHead.js';

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
