import { useNavigate } from "react-router";
import type { Scene, VerbId } from "../api/client";
import { saveFile } from "../api/client";
import { useEdits } from "../api/edits";
import { say } from "../state/messages";
import { useView } from "../state/view";
import { ask, openHelp, type Ask } from "./asks";
import { useOffers, type OfferId } from "./useOffers";
import { wallEvents } from "./wallEvents";

/** How a verb is carried out here. */
export interface Verb {
  run: () => unknown;
  /** Why it can't be done now; absent where it can. */
  not?: string;
}

/** Every verb as it is carried out: in a project, or on the shelf, where the project's ones are not to be had. */
export function useVerbs(projectId: string | null, scene: Scene | undefined): Record<VerbId, Verb> {
  const navigate = useNavigate();
  const edits = useEdits(projectId ?? "");
  const selection = useView((view) => view.selection);
  const chosen = scene?.elements.filter((element) => selection.includes(element.id)) ?? [];
  const offers = useOffers(projectId ?? "", scene, chosen);
  const files = `/api/projects/${projectId}`;

  const go = (path: string) => () => void navigate(path);
  const here = (verb: Verb): Verb => (projectId ? verb : { ...verb, not: "Open a project first." });
  const room = (path: string) => here({ run: go(`/p/${projectId}/${path}`) });
  const inRoom = (path: string, run: () => void) =>
    here({
      run: () => {
        void navigate(`/p/${projectId}/${path}`);
        run();
      },
    });
  const onWall = (asked: Ask) => inRoom("wall", () => ask(asked));
  const onShelf = (asked: Ask): Verb => ({
    run: () => {
      void navigate("/");
      ask(asked);
    },
  });
  const tool = (name: "pen" | "freehand" | "measure") =>
    inRoom("wall", () => {
      useView.getState().select([]);
      useView.getState().setTool(name);
    });
  const save = (file: string) =>
    here({
      run: () => void saveFile(`${files}/${file}`).catch((wrong: Error) => say(wrong.message, "trouble")),
    });
  const offered = (id: OfferId): Verb =>
    here({
      run: offers[id].run,
      not: offers[id].disabled ? "Select something on the wall first." : undefined,
    });
  const card = (asked: Ask) =>
    inRoom("wall", () => {
      useView.getState().select([]);
      ask(asked);
    });

  return {
    toShelf: { run: go("/") },
    toStash: { run: go("/stash") },
    toHelp: { run: () => openHelp("start") },
    showKeys: { run: () => ask("keys") },
    newProject: onShelf("newProject"),
    fromPattern: onShelf("pattern"),
    openFile: onShelf("openFile"),
    openBin: onShelf("bin"),
    makeRoom: onShelf("room"),
    toWall: room("wall"),
    toRunSheet: room("run-sheet"),
    toCuttingTable: room("cutting"),
    toDryRun: room("cutting/dry-run"),
    toRehearsal: room("rehearsal"),
    toOrders: room("orders"),
    toPacket: room("packet"),
    undo: here({ run: edits.undo, not: scene?.undoLabel ? undefined : "There is nothing left to undo." }),
    redo: here({ run: edits.redo, not: scene?.redoLabel ? undefined : "There is nothing to do again." }),
    openHistory: here({ run: () => ask("history") }),
    makeVariant: here({ run: () => ask("variant") }),
    changeUnit: here({
      run: () => edits.edit({ edit: "setUnit", unit: scene?.unit === "inch" ? "millimetre" : "inch" }),
    }),
    changeHoop: here({ run: () => ask("hoop") }),
    showFindings: here({ run: () => useView.getState().setFindingsOpen(true) }),
    putRight: here({
      run: () => {
        void navigate(`/p/${projectId}/run-sheet`);
        if (scene?.runSheet.isBroken || scene?.runSheet.release.length) void edits.edit({ edit: "putRight" });
        else say("Every step stands where it may; there is nothing to put right.");
      },
    }),
    letOrder: here({
      run: () => {
        void navigate(`/p/${projectId}/run-sheet`);
        void edits.edit({ edit: "planOrder" });
      },
      not: scene?.runSheet.isUsersOwn ? undefined : "The order is Ullet’s own already.",
    }),
    addHandStep: inRoom("run-sheet", () => ask("handStep")),
    makePacket: save("packet.zip"),
    saveStitchFile: save("program.ulst"),
    saveBooklet: save("booklet.pdf"),
    saveProject: save("project.ullet"),
    newCloth: card("newCloth"),
    newThread: card("newThread"),
    takeCloth: card("takeCloth"),
    takeThread: card("takeThread"),
    addShape: onWall("shapes"),
    setLetters: onWall("letters"),
    addDrawing: onWall("sketches"),
    drawPen: tool("pen"),
    drawByHand: tool("freehand"),
    importDrawing: onWall("drawingFile"),
    openStitches: onWall("stitchFile"),
    compareStitches: onWall("compare"),
    openParts: onWall("parts"),
    measure: tool("measure"),
    addZone: onWall("zone"),
    mapDensity: inRoom("wall", () => useView.getState().showMap("density")),
    mapCoverage: inRoom("wall", () => useView.getState().showMap("coverage")),
    mockUp: onWall("mockUp"),
    fitHoop: inRoom("wall", wallEvents.fit),
    trueSize: inRoom("wall", wallEvents.trueSize),
    zoomIn: inRoom("wall", () => wallEvents.zoom(1.25)),
    zoomOut: inRoom("wall", () => wallEvents.zoom(0.8)),
    addBasting: here({ run: () => edits.edit({ edit: "addBasting" }) }),
    keepPart: {
      ...onWall("keepPart"),
      ...(chosen.length ? {} : { not: "Select something on the wall first." }),
    },
    selectAll: offered("all"),
    paste: offered("paste"),
    copy: offered("copy"),
    cut: offered("cut"),
    duplicate: offered("duplicate"),
    remove: offered("remove"),
    up: offered("up"),
    down: offered("down"),
    group: offered("group"),
    ungroup: offered("ungroup"),
    lock: offered("lock"),
    hide: offered("hide"),
    construction: offered("construction"),
    flipAcross: offered("flipAcross"),
    flipDown: offered("flipDown"),
    centre: offered("centre"),
  };
}
