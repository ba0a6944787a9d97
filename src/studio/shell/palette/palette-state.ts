import { create } from 'zustand';

export const usePalette = create<{ readonly isOpen: boolean; readonly showsKeys: boolean }>()(
  () => ({
    isOpen: false,
    showsKeys: false,
  }),
);
