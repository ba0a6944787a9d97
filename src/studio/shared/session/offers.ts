import { useEffect } from 'react';
import { create } from 'zustand';

/** Something that the place where the reader is can do with what was written in *find or do*. */
export interface Offer {
  readonly name: string;
  readonly hint: string;
  run(): void;
}

/** Keys of the station that is open, for the map of the keys. */
export const useStationKeys = create<{
  readonly keys: readonly { readonly name: string; readonly key: string }[];
}>()(() => ({ keys: [] }));

type OffersFor = (words: string) => readonly Offer[];

/** What the station that is open offers, by who offers it. */
export const useOffers = create<{ readonly by: ReadonlyMap<string, OffersFor> }>()(() => ({
  by: new Map(),
}));

/** Offers something as long as it is shown. */
export function useOffering(who: string, offersFor: OffersFor): void {
  useEffect(() => {
    useOffers.setState(({ by }) => ({ by: new Map(by).set(who, offersFor) }));
    return () =>
      useOffers.setState(({ by }) => ({ by: new Map([...by].filter(([name]) => name !== who)) }));
  });
}
