import type { Scene } from "../../../api/client";
import { dragged, turnedTo } from "../../../canvas/boxes";
import { toWorld, type Place } from "../../../canvas/camera";
import { around, caught } from "../../../canvas/guides";
import { carriedAlong } from "../../../canvas/whole";
import { useView } from "../../../state/view";
import { lockedProportions } from "../card/proportions";
import type { WallView } from "../view/WallView";
import { CATCH_PX, fieldOf, measuredAt } from "./places";
import type { Work } from "./wallWork";

/** A press is a drag once it has gone so far, CSS pixels. */
export const SLACK_PX = 3;

interface Keys {
  shiftKey: boolean;
  altKey: boolean;
}

type Carry<K extends Work["kind"]> = (
  work: Extract<Work, { kind: K }>,
  at: Place,
  wall: { view: WallView; scene: Scene; keys: Keys },
) => Work;

/** What a drag does while it goes on, by what the hand is at. The drawing is moved; what comes of it is the next work. */
const CARRIES: { [K in Work["kind"]]: Carry<K> } = {
  pan: (work, at, { view }) => {
    view.pan(at.x - work.last.x, at.y - work.last.y);
    return { ...work, last: at };
  },
  band: (work, at, { view }) => {
    view.setBand({ from: work.from, to: at });
    return work;
  },
  measure: (work, at, { view, scene }) => {
    useView.getState().setMeasured({ from: work.from, to: measuredAt(view, scene, at) });
    return work;
  },
  direction: (work, at, { view }) => {
    const to = toWorld(view.camera, at);
    useView.getState().setMeasured({ from: work.from, to });
    return { ...work, to };
  },
  guide: (work, at, { view }) => {
    const place = toWorld(view.camera, at);
    const from = work.places[0] ?? place;
    useView.getState().setMeasured({ from, to: place });
    return { ...work, places: [...work.places, place] };
  },
  letter: (work, at, { view }) => {
    const [start, now] = [toWorld(view.camera, work.from), toWorld(view.camera, at)];
    const by = { x: now.x - start.x, y: now.y - start.y };
    view.moveLetter(by);
    return { ...work, by };
  },
  scale: (work, at, { view, keys }) => {
    const keep = lockedProportions.get() !== keys.shiftKey;
    const now = dragged(work.element.box, work.handle, toWorld(view.camera, at), keep);
    view.move({ ids: [work.element.id], boxes: new Map([[work.element.id, now]]) });
    return { ...work, now };
  },
  turn: (work, at, { view, keys }) => {
    const { box } = work.element;
    const now = { ...box, rotation: turnedTo(box, toWorld(view.camera, at), keys.altKey) };
    view.move({ ids: [work.element.id], boxes: new Map([[work.element.id, now]]) });
    return { ...work, now };
  },
  scaleAll: (work, at, { view, keys }) => {
    const keep =
      lockedProportions.get() !== keys.shiftKey || work.elements.some((element) => element.isAskew);
    const now = dragged(work.whole, work.handle, toWorld(view.camera, at), keep);
    view.move({
      ids: work.elements.map((element) => element.id),
      boxes: carriedAlong(work.elements, work.whole, now),
      whole: now,
    });
    return { ...work, now };
  },
  turnAll: (work, at, { view, keys }) => {
    const now = { ...work.whole, rotation: turnedTo(work.whole, toWorld(view.camera, at), keys.altKey) };
    view.move({
      ids: work.elements.map((element) => element.id),
      boxes: carriedAlong(work.elements, work.whole, now),
      whole: now,
    });
    return { ...work, now };
  },
  press: (work, at, wall) =>
    Math.hypot(at.x - work.from.x, at.y - work.from.y) < SLACK_PX ? work : moved(work, at, wall),
  move: (work, at, wall) => moved(work, at, wall),
};

/** Carries work on. */
export function carried(work: Work, at: Place, wall: Parameters<Carry<"pan">>[2]): Work {
  // Looked up by its own kind: it is what that carry takes.
  return (CARRIES[work.kind] as Carry<Work["kind"]>)(work, at, wall);
}

/** Elements carried along, caught by what lies beside them. */
function moved(
  work: Extract<Work, { kind: "press" | "move" }>,
  at: Place,
  { view, scene, keys }: Parameters<Carry<"move">>[2],
): Work {
  const { from, elements } = work;
  const [start, world] = [toWorld(view.camera, from), toWorld(view.camera, at)];
  let [dx, dy] = [world.x - start.x, world.y - start.y];
  const ids = elements.map((element) => element.id);
  const group = around(elements.map((element) => element.outline));
  const others = scene.elements.filter((element) => !element.isHidden && !ids.includes(element.id));
  const guided = keys.altKey
    ? { dx: 0, dy: 0, guides: [] }
    : caught(
        { ...group, x: group.x + dx, y: group.y + dy },
        others.map((element) => element.outline),
        fieldOf(scene),
        CATCH_PX / view.camera.scale,
      );
  [dx, dy] = [dx + guided.dx, dy + guided.dy];
  const now = new Map(elements.map(({ id, box }) => [id, { ...box, x: box.x + dx, y: box.y + dy }]));
  view.move({ ids, boxes: now, guides: guided.guides });
  return { kind: "move", from, elements, now, exact: { x: guided.dx !== 0, y: guided.dy !== 0 } };
}
