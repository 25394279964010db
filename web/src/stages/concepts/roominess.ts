import { createContext, useContext, useState } from 'react';

const KEY = 'even-lantern-rows';

interface Roominess {
  /** whether a term takes several rows, with how it is searched written out */
  roomy: boolean;
  toggle: () => void;
}

/** How much room a term takes, as this person chose it. */
export const RoominessContext = createContext<Roominess>({ roomy: false, toggle: () => undefined });

export function useRoominess(): Roominess {
  return useContext(RoominessContext);
}

export function useRoominessChoice(): Roominess {
  const [roomy, setRoomy] = useState(localStorage.getItem(KEY) === 'roomy');
  const toggle = () => {
    localStorage.setItem(KEY, roomy ? 'compact' : 'roomy');
    setRoomy(!roomy);
  };
  return { roomy, toggle };
}
