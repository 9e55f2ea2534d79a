import createClient from "openapi-fetch";
import type { components, paths } from "./schema.generated";
import { fetchNamed } from "./work";

/** What the server says when it refuses: a sentence, a stable code and the place. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly code: string,
    readonly head?: number,
  ) {
    super(message);
  }
}

const client = createClient<paths>({ baseUrl: "", fetch: fetchNamed });

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The answer's body, or the server's sentence as an error. */
export async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch (wrong) {
    if (wrong instanceof DOMException && wrong.name === "AbortError") throw wrong;
    throw new Refused(
      "Ullet's server does not answer. Start it again, then repeat the last change.",
      "offline",
    );
  }
  if (!answer.response.ok) throw refusal(answer.error);
  return answer.data as T;
}

/** Fetches a file as it would be downloaded. */
export async function fetchFile(url: string, signal?: AbortSignal): Promise<ArrayBuffer> {
  const response = await fetchNamed(new Request(url, { signal }));
  if (!response.ok) throw refusal(await response.json().catch(() => null));
  return response.arrayBuffer();
}

/** Fetches a file and hands it to the browser to save, under the name that the server gives it. */
export function saveFile(url: string): Promise<void> {
  return save(new Request(url));
}

/** The same of a file that is asked for with a wish. */
export function savePosted(url: string, wish: unknown): Promise<void> {
  const headers = { "Content-Type": "application/json" };
  return save(new Request(url, { method: "POST", body: JSON.stringify(wish), headers }));
}

async function save(request: Request): Promise<void> {
  const response = await fetchNamed(request);
  if (!response.ok) throw refusal(await response.json().catch(() => null));
  const link = document.createElement("a");
  link.href = URL.createObjectURL(await response.blob());
  link.download = nameOf(response.headers.get("Content-Disposition")) ?? "cut-file";
  link.click();
  URL.revokeObjectURL(link.href);
}

function nameOf(disposition: string | null): string | null {
  const coded = /filename\*=UTF-8''([^;]+)/.exec(disposition ?? "")?.[1];
  if (coded) return decodeURIComponent(coded);
  return /filename="?([^";]+)"?/.exec(disposition ?? "")?.[1] ?? null;
}

/** Sends a file to a stand-in device and gives its answer. */
export function sendFile<T>(url: string, file: ArrayBuffer, type: string): Promise<T> {
  return postTo<T>(url, { body: file, headers: { "Content-Type": type } });
}

/** Uploads a file for a preview. */
export function importFile(file: File): Promise<ImportPreview> {
  const form = new FormData();
  form.append("file", file);
  return postTo<ImportPreview>("/api/import", { body: form });
}

/** Posts to an address and gives the answer, or the server's sentence as an error. */
export async function postTo<T>(url: string, request: RequestInit = {}): Promise<T> {
  const response = await fetchNamed(new Request(url, { ...request, method: "POST" }));
  if (!response.ok) throw refusal(await response.json().catch(() => null));
  return (await response.json()) as T;
}

function refusal(body: unknown): Refused {
  const problem = (body ?? {}) as { detail?: string; code?: string; head?: number };
  return new Refused(
    problem.detail ?? "The server could not do that.",
    problem.code ?? "fault",
    problem.head,
  );
}

export const api = client;

export type Schemas = components["schemas"];
export type Scene = Schemas["SceneDto"];
export type ElementBox = Schemas["ElementBox"];
export type Step = Schemas["StepDto"];
export type StepOrder = Schemas["StepOrderDto"];
/** A step that has a place of its own in the run sheet. */
export type OrderedStep = Step & { order: StepOrder };
export const isOrdered = (step: Step): step is OrderedStep => step.order != null;
export type Lane = Schemas["LaneDto"];
export type RunSheet = Schemas["RunSheetDto"];
export type Turning = Schemas["TurningDto"];
export type UserInsert = NonNullable<Schemas["UserInsert"]>;
export type AdditionsFate = Schemas["AdditionsFate"];
export type UserHandStep = Schemas["UserHandStep"];
export type HandKind = Schemas["HandKind"];
export type LayerRole = NonNullable<Schemas["LayerRole"]>;
export type Pattern = Schemas["PatternDto"];
export type PatternDrawing = Schemas["PatternDrawingDto"];
export type ProjectPattern = Schemas["ProjectPatternDto"];
export type Finding = Schemas["FindingDto"];
export type Sheet = Schemas["SheetDto"];
export type SheetShape = Schemas["SheetShapeDto"];
export type ClothCut = Schemas["ClothCutDto"];
export type SizeCard = Schemas["SizeCardDto"];
export type CutMarks = Schemas["CutMarks"];
export type CutProfile = Schemas["CutProfile"];
export type CutFormat = Schemas["CutFormat"];
export type CutExport = Schemas["CutExportDto"];
export type Lying = Schemas["Lying"];
export type EdgeTolerances = Schemas["EdgeTolerances"];
export type MatPhoto = Schemas["MatPhoto"];
export type FreedShape = Schemas["FreedShape"];
export type TestCut = Schemas["TestCut"];
export type Cloth = Schemas["Cloth"];
export type Thread = Schemas["MachineThread"];
export type Edit = Schemas["Edit"];
export type ShapeSource = Schemas["ShapeSource"];
export type CoverSettings = Schemas["CoverSettings"];
export type RunSettings = Schemas["RunSettings"];
export type CoverKind = NonNullable<Schemas["CoverKind"]>;
export type StageChoice = Schemas["StageChoice"];
export type TackKind = Schemas["TackKind"];
export type Holding = Schemas["Holding"];
export type EdgeMatch = Schemas["EdgeMatchDto"];
export type Margin = Schemas["MarginDto"];
export type StitchMap = Schemas["MapDto"];
export type Unit = Schemas["LengthUnit"];
export type Catalogue = Schemas["Catalogue"];
export type NumberRange = Schemas["NumberRange"];
export type ShelfItem = Schemas["ShelfItem"];
export type RoomUsed = Schemas["RoomUsed"];
export type ZoneRole = Schemas["ZoneRole"];
export type LineSettings = Schemas["LineSettings"];
export type WordsUse = NonNullable<Schemas["WordsUse"]>;
export type SatinMaking = Schemas["SatinMaking"];
export type SatinBand = Schemas["SatinBand"];
export type SatinEdge = Schemas["SatinEdge"];
export type FilledMaking = Schemas["FilledMaking"];
export type Sketch = Schemas["SketchDto"];
export type SketchWay = NonNullable<Schemas["SketchWay"]>;
export type Letter = Schemas["LetterDto"];
export type Clip = Schemas["Clip"];
export type FontSample = Schemas["FontSample"];
export type UnderlaySettings = Schemas["UnderlaySettings"];
export type SampleRequest = Schemas["SampleRequest"];
export type FontKind = Schemas["FontKind"];
export type DrawingPreview = Schemas["DrawingPreview"];
export type DrawingWish = Schemas["DrawingWishRequest"];
export type ImportPreview = Schemas["ImportPreview"];
export type Operation = Schemas["Operation"];
export type OperationChoice = Schemas["OperationChoice"];
/** An operation as the server sends it: with all its numbers. */
export type GivenOperation = AllGiven<Operation>;
type AllGiven<T> = T extends unknown ? Required<T> : never;
export type OperationRow = Schemas["OperationDto"];
export type Leftover = Schemas["LeftoverDto"];
export type LeftoverKind = Schemas["LeftoverKind"];
export type Detail = Schemas["DetailDto"];
export type NodeLine = Schemas["NodeLine"];
export type WallNode = Schemas["Node"];
export type NodeKind = Schemas["NodeKind"];
export type Stretch = Schemas["StretchDto"];
export type Rehearsal = Schemas["Rehearsal"];
export type RehearsedStep = Schemas["RehearsedStep"];
export type DryRun = Schemas["DryRun"];
export type VerbRow = Schemas["VerbRow"];
export type VerbId = Schemas["VerbId"];
export type HelpHit = Schemas["HelpHit"];
export type ShelfSet = Schemas["ShelfSet"];
export type ShelfLabels = Schemas["ShelfLabels"];
export type ShelfChange = Schemas["ShelfChange"];
export type BinItem = Schemas["BinItem"];
export type Revision = Schemas["RevisionDto"];
export type StashCloth = Schemas["StashCloth"];
export type StashThread = Schemas["StashThread"];
export type OwnedThread = Schemas["StashThreadDto"];
export type NearThread = Schemas["NearThreadDto"];
export type ThreadTable = Schemas["ThreadTableDto"];
export type HandedOut = Schemas["HandedDto"];
export type StageId = Schemas["StageId"];
