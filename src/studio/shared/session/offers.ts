import { create } from 'zustand';

/** Something that the place where the reader is can do with what was written in *find or do*. */
export interface Offer {
  readonly name: string;
  readonly hint: string;
  run(): void;
}

/** What the station that is open offers; undefined: nothing. */
export const useOffers = create<{
  readonly offersFor: ((words: string) => readonly Offer[]) | undefined;
}>()(() => ({ offersFor: undefined }));
