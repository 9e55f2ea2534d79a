import { useRef, useState } from "react";
import {
  fetchFile,
  postTo,
  Refused,
  sendFile,
  type ClothCut,
  type DryRun,
  type Sheet,
  type TestCut,
} from "../../api/client";
import { say } from "../../state/messages";

/** What the stand-in cutter is set to. */
export interface CutterSetting {
  x: number;
  y: number;
  depth: number;
  pressure: number;
  speed: number;
  passes: number;
  mirror: boolean;
  corner: Corner;
}

export type Corner = "topLeft" | "topRight" | "bottomLeft" | "bottomRight";

/** A file that was put into the cutter. */
export interface LoadedFile {
  name: string;
  bytes: ArrayBuffer;
}

/** What the cutter is doing. */
export type Stage =
  | { doing: "waiting" }
  | { doing: "frame"; run: DryRun; share: number }
  | { doing: "cutting"; run: DryRun; share: number }
  | { doing: "done"; run: DryRun; share: number };

const addressOf = (
  setting: CutterSetting,
  cloth: ClothCut,
  metres: number,
  already: number,
  frame?: DryRun["frame"],
) =>
  new URLSearchParams({
    x: String(setting.x),
    y: String(setting.y),
    matWidth: String(cloth.mat.width),
    matHeight: String(cloth.mat.height),
    depth: String(setting.depth),
    pressure: String(setting.pressure),
    speed: String(setting.speed),
    passes: String(setting.passes),
    mirror: String(setting.mirror),
    material: cloth.material,
    cloth: cloth.name,
    metres: String(metres),
    already: String(already),
    ...(frame
      ? {
          corner: setting.corner,
          frameX: String(frame.x),
          frameY: String(frame.y),
          frameWidth: String(frame.width),
          frameHeight: String(frame.height),
        }
      : {}),
  }).toString();

/** The stand-in cutter as a device: its file, its settings, what its blade has been through, and what it does. */
export function useCutter(projectId: string, cloth: ClothCut, sheet: Sheet) {
  const { profile } = cloth;
  const [file, setFile] = useState<LoadedFile | null>(null);
  const [setting, setSetting] = useState<CutterSetting>({
    x: 0,
    y: 0,
    depth: profile.depth,
    pressure: profile.pressure,
    speed: profile.speed,
    passes: profile.passes,
    mirror: false,
    corner: "bottomRight",
  });
  const newest = useRef(setting);
  const [read, setRead] = useState<DryRun | null>(null);
  const [stage, setStage] = useState<Stage>({ doing: "waiting" });
  const [test, setTest] = useState<TestCut | null>(null);
  const [busy, setBusy] = useState(false);
  /** How much the blade has cut, m, and how deep the same lines are cut already, mm. */
  const [metres, setMetres] = useState(0);
  const [already, setAlready] = useState(0);

  const guarded = async <T>(work: () => Promise<T>): Promise<T | null> => {
    setBusy(true);
    try {
      return await work();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "The stand-in cutter does not answer.", "trouble");
      return null;
    } finally {
      setBusy(false);
    }
  };

  const run = (bytes: ArrayBuffer, with_: CutterSetting, deep: number) =>
    sendFile<DryRun>(
      `/api/devices/cutter/dry-run?${addressOf(with_, cloth, metres, deep)}`,
      bytes,
      "application/octet-stream",
    );

  const load = async (loaded: LoadedFile) => {
    const answer = await guarded(() => run(loaded.bytes, setting, 0));
    if (!answer) return;
    setFile(loaded);
    setRead(answer);
    setAlready(0);
    setStage({ doing: "waiting" });
  };

  const take = async (format: string) => {
    const bytes = await guarded(() =>
      fetchFile(
        `/api/projects/${projectId}/cut.${format}?cloth=${cloth.clothId}&sheet=${sheet.number}&trial=true`,
      ),
    );
    if (bytes) await load({ name: `${cloth.name}, sheet ${sheet.number}, ${format.toUpperCase()}`, bytes });
  };

  const change = async (part: Partial<CutterSetting>) => {
    // Of the newest setting: another number may have been typed in the same breath.
    const next = { ...newest.current, ...part };
    newest.current = next;
    setSetting(next);
    const moved = part.x !== undefined || part.y !== undefined || part.mirror !== undefined;
    // Another place is another cut; what was cut before stays where it was.
    if (moved) setAlready(0);
    if (!file || !moved) return;
    setStage({ doing: "waiting" });
    const answer = await guarded(() => run(file.bytes, next, 0));
    if (answer) setRead(answer);
  };

  const tryBlade = async () => {
    const answer = await guarded(() =>
      postTo<TestCut>(`/api/devices/cutter/test-cut?${addressOf(setting, cloth, metres, 0, read?.frame)}`),
    );
    if (answer) {
      setTest(answer);
      setMetres(metres + answer.cutLength / 1000);
    }
  };

  const goRound = () => {
    if (read) setStage({ doing: "frame", run: read, share: 0 });
  };

  const cut = async () => {
    if (!file) return;
    const answer = await guarded(() => run(file.bytes, setting, already));
    if (answer) setStage({ doing: "cutting", run: answer, share: 0 });
  };

  const finish = (doing: "frame" | "cutting", share: number, by: DryRun) => {
    if (doing === "frame") {
      setStage({ doing: "waiting" });
      return;
    }
    setMetres((before) => before + (by.cutLength * share) / 1000);
    if (share >= 1) setAlready(by.reached);
    setStage({ doing: "done", run: by, share });
  };

  return {
    file,
    setting,
    read,
    stage,
    test,
    busy,
    metres,
    already,
    load,
    take,
    change,
    tryBlade,
    goRound,
    cut,
    setStage,
    finish,
  };
}

export type Cutter = ReturnType<typeof useCutter>;
