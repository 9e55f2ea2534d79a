import { useView } from "./view";

/** Something that was typed and is not taken yet. */
export interface Draft {
  /** Takes it; false where it can't be taken, after a sentence said why. */
  take: () => Promise<boolean>;
  /** Lets it go. */
  forget: () => void;
}

const drafts = new Set<Draft>();

/** What was typed is being taken; presses made meanwhile wait for it in their order. */
let taking: Promise<boolean> | null = null;

/** How often something typed could not be taken. */
let refusals = 0;

/** The refusals there were when the mouse button went down: a press that began before a refusal was not made knowing of it. */
let refusalsAtPress = 0;

/** Presses that were held and are made again. */
const again = new WeakSet<Event>();

/** Keys that work on the page rather than on what has the focus. */
const OWN_KEYS = new Set(["Tab", "Shift", "Control", "Alt", "Meta", "Enter", " ", "Escape"]);

export function noteDraft(draft: Draft) {
  drafts.add(draft);
}

export function dropDraft(draft: Draft) {
  drafts.delete(draft);
}

/** Notes that something typed could not be taken: a press that has begun is held. */
export function noteRefusal() {
  refusals += 1;
}

/** Takes all that was typed, in the order of typing; false as soon as something can't be taken. */
function takeTyped(): Promise<boolean> {
  const before = taking ?? Promise.resolve(true);
  const next: Promise<boolean> = before.then(async (ok) => {
    for (const draft of [...drafts]) ok = (await draft.take()) && ok;
    return ok;
  });
  taking = next;
  void next.finally(() => {
    if (taking === next) taking = null;
  });
  return next;
}

/** Holds every press of a button, a link or a shortcut until what was typed before it is taken; then it is made. A press on what is
 * marked with data-lets-go lets go of what was typed. */
export function guardPresses(page: Window) {
  const onPress = (event: Event) => {
    const refusedMeanwhile =
      event instanceof PointerEvent && event.detail > 0 && refusals !== refusalsAtPress;
    if (again.has(event) || (drafts.size === 0 && !taking && !refusedMeanwhile)) return;
    const { target } = event;
    if (!(target instanceof Element)) return;
    if (event instanceof KeyboardEvent && (OWN_KEYS.has(event.key) || isField(target))) return;
    // A press with the mouse into another field is not yet a wish.
    if (event instanceof MouseEvent && isField(target)) return;
    if (target.closest("[data-lets-go]")) {
      for (const draft of [...drafts]) draft.forget();
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
    if (refusedMeanwhile) return;
    void takeTyped().then((ok) => {
      if (ok && target.isConnected) repeat(event, target);
    });
  };
  const onLeave = (event: BeforeUnloadEvent) => {
    if (drafts.size > 0 || useView.getState().pending > 0) event.preventDefault();
  };
  // Comes before the field is left, which takes what was typed.
  page.addEventListener("pointerdown", () => (refusalsAtPress = refusals), { capture: true });
  page.addEventListener("click", onPress, { capture: true });
  page.addEventListener("keydown", onPress, { capture: true });
  page.addEventListener("beforeunload", onLeave);
}

/** True for what letters are typed into: presses in it are its own. */
function isField(target: Element): boolean {
  const field = target.closest<HTMLInputElement>("input, textarea, select");
  return field !== null && !["checkbox", "radio", "button", "submit", "file"].includes(field.type);
}

function repeat(event: Event, target: Element) {
  const press =
    event instanceof KeyboardEvent
      ? new KeyboardEvent(event.type, event)
      : new MouseEvent(event.type, event as MouseEvent);
  again.add(press);
  target.dispatchEvent(press);
}
