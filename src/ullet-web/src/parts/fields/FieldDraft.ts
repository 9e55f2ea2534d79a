import { flushSync } from "react-dom";
import { Refused } from "../../api/client";
import { say } from "../../state/messages";
import { dropDraft, noteDraft, noteRefusal, type Draft } from "../../state/typing";
import { useView } from "../../state/view";

/** What a field shows and where what is typed goes. */
export interface FieldWish<T> {
  /** What stands in the field while nobody types. */
  shown: string;
  /** Reads what was typed; throws Refused with the sentence that says what is wrong with it. */
  read: (text: string) => T | Promise<T>;
  /** Called with what was read; while what it gives is on its way, the field goes on showing what was typed. */
  onTaken: (value: T) => unknown;
}

/** How a field stands. */
export interface FieldState {
  /** What is typed and not taken yet; null for nothing. */
  typed: string | null;
  /** What was taken and is on its way; null for nothing. */
  sent: string | null;
  /** True after what was typed could not be taken. */
  wrong: boolean;
}

const AT_REST: FieldState = { typed: null, sent: null, wrong: false };

/** What is typed into one field, from the first letter until it is taken. */
export class FieldDraft<T> implements Draft {
  private state = AT_REST;
  private reading: Promise<boolean> | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(private wish: FieldWish<T>) {}

  /** What the field shows and wants by now. */
  follow(wish: FieldWish<T>) {
    this.wish = wish;
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  type(text: string) {
    this.set({ typed: text, wrong: false });
    noteDraft(this);
  }

  forget() {
    dropDraft(this);
    this.set({ typed: null, wrong: false });
  }

  take(): Promise<boolean> {
    const { typed, sent } = this.state;
    if (this.reading) return this.reading;
    if (typed === null || typed.trim() === (sent ?? this.wish.shown).trim()) {
      this.forget();
      return Promise.resolve(true);
    }
    this.reading = this.takeNow(typed).finally(() => {
      this.reading = null;
    });
    return this.reading;
  }

  private async takeNow(text: string): Promise<boolean> {
    try {
      const read = this.wish.read(text);
      if (read instanceof Promise) await this.takeLater(text, read);
      else this.taken(text, read);
      return true;
    } catch (fault) {
      dropDraft(this);
      noteRefusal();
      this.set({ wrong: true });
      if (!(fault instanceof Refused)) throw fault;
      say(fault.message, "trouble");
      return false;
    }
  }

  private async takeLater(text: string, read: Promise<T>) {
    const { addPending } = useView.getState();
    addPending(1);
    try {
      const value = await read;
      // What waits for it, a button, is to see it.
      flushSync(() => this.taken(text, value));
    } finally {
      addPending(-1);
    }
  }

  private taken(text: string, value: T) {
    if (this.state.typed === text) {
      dropDraft(this);
      this.set({ typed: null });
    }
    const onItsWay = this.wish.onTaken(value);
    if (!(onItsWay instanceof Promise)) return;
    this.set({ sent: text });
    void onItsWay.finally(() => {
      if (this.state.sent === text) this.set({ sent: null });
    });
  }

  private set(part: Partial<FieldState>) {
    this.state = { ...this.state, ...part };
    for (const listener of this.listeners) listener();
  }
}
