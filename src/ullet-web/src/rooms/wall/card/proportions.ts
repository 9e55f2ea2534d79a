import { create } from "zustand";

/** Whether width and height of a piece change together; the card's lock and the handles share it. */
export const useProportions = create<{ locked: boolean; setLocked: (locked: boolean) => void }>((set) => ({
  locked: true,
  setLocked: (locked) => set({ locked }),
}));

export const lockedProportions = { get: () => useProportions.getState().locked };
