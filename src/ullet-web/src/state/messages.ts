import { create } from "zustand";

export type Tone = "note" | "trouble";

interface Message {
  id: number;
  text: string;
  tone: Tone;
  action?: { label: string; run: () => void };
}

interface Messages {
  list: Message[];
  drop: (id: number) => void;
}

let last = 0;
const STAY_MS = 9000;

export const useMessages = create<Messages>((set) => ({
  list: [],
  drop: (id) => set((state) => ({ list: state.list.filter((message) => message.id !== id) })),
}));

/** Shows a sentence at the bottom of the screen for a while. */
export function say(text: string, tone: Tone = "note", action?: Message["action"]) {
  const id = ++last;
  useMessages.setState((state) => ({
    list: [...state.list.filter((message) => message.text !== text), { id, text, tone, action }].slice(-3),
  }));
  setTimeout(() => useMessages.getState().drop(id), STAY_MS);
}
