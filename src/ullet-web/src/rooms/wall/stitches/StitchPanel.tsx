import { useMemo, useRef, useState } from "react";
import { answered, api, Refused, type Scene } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import { FormPanel } from "../../../parts/FormPanel";
import { sizeText } from "../../../state/lengths";
import { say } from "../../../state/messages";
import { BlockList } from "./BlockList";
import type { StitchImport } from "./importStitches";
import { threadsOf } from "./previews";
import { ReadingFields, type Reading } from "./ReadingFields";
import { ThreadCanvas } from "./ThreadCanvas";

interface Props {
  projectId: string;
  scene: Scene;
  imported: StitchImport;
  onClose: () => void;
}

/** A stitch file before it is opened: drawn as thread, block by block, with what could not be read. */
export function StitchPanel({ projectId, scene, imported, onClose }: Props) {
  const edits = useEdits(projectId);
  const [token, setToken] = useState(
    imported.files[Math.floor((imported.files.length - 1) / 2)]?.token ?? "",
  );
  const [files, setFiles] = useState(imported.files);
  const [reading, setReading] = useState<Reading>({ isCentred: false });
  const [chosen, setChosen] = useState<number | null>(null);
  const newest = useRef(reading);
  const preview = files.find((file) => file.token === token) ?? files[0];
  const threads = useMemo(() => (preview ? threadsOf(preview, chosen) : []), [preview, chosen]);
  if (!preview) return null;

  const change = async (part: Partial<Reading>) => {
    const before = newest.current;
    const next = { ...before, ...part };
    newest.current = next;
    setReading(next);
    try {
      const read = await answered(
        api.POST("/api/stitches/{token}/preview", { params: { path: { token: preview.token } }, body: next }),
      );
      if (newest.current !== next) return;
      setFiles((known) =>
        known.map((file) => (file.token === preview.token ? { ...read, name: file.name } : file)),
      );
    } catch (wrong) {
      if (newest.current === next) {
        newest.current = before;
        setReading(before);
      }
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };

  const open = async () => {
    const sizes =
      files.length > 1
        ? files.map((file) => ({
            name: file.name,
            asset: file.token,
            width: file.width,
            height: file.height,
          }))
        : [];
    if (
      await edits.add({
        edit: "openStitches",
        token: preview.token,
        name: preview.name,
        reading: newest.current,
        sizes,
      })
    )
      onClose();
  };

  const words = preview.unread ?? "";
  return (
    <FormPanel
      title={`Open ${preview.name}`}
      size="large"
      action="Put on the wall"
      disabled={preview.blocks.length === 0}
      hint="The file itself is kept as it is."
      onSent={open}
      onClose={onClose}
    >
      <div className="grid min-h-0 flex-1 grid-cols-[1fr_330px] gap-5">
        <div className="flex min-h-0 flex-col gap-2">
          <div className="min-h-0 flex-1 rounded-card border border-line bg-chalk p-2">
            <ThreadCanvas
              threads={threads}
              label={`The stitches, ${sizeText(preview.width, preview.height, scene.unit).replace("×", "by")}`}
            />
          </div>
          {files.length > 1 ? (
            <div role="group" aria-label="Sizes" className="flex gap-1.5 overflow-x-auto pb-1">
              {files.map((file) => (
                <button
                  key={file.token}
                  type="button"
                  aria-pressed={file.token === preview.token}
                  onClick={() => {
                    setToken(file.token);
                    setChosen(null);
                  }}
                  className="flex w-[104px] shrink-0 flex-col items-center rounded-card border border-line bg-white p-1.5 text-[13px] hover:bg-chalk aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
                >
                  <ThreadCanvas
                    threads={threadsOf(file, null)}
                    label={`Picture of ${file.name}`}
                    className="h-[58px] w-full"
                  />
                  <span className="w-full truncate text-center">{file.name}</span>
                  <span className="text-muted">{sizeText(file.width, file.height, scene.unit)}</span>
                </button>
              ))}
            </div>
          ) : null}
        </div>
        <div className="flex min-h-0 flex-col gap-2.5">
          <dl className="rounded-card bg-chalk px-3 py-2">
            <dt className="text-[13px] text-muted">All needle points</dt>
            <dd className="text-[19px] font-semibold">
              {sizeText(preview.width, preview.height, scene.unit)}
            </dd>
            <dd className="text-[14px] text-muted">
              {sizeText(preview.width, preview.height, scene.unit === "inch" ? "millimetre" : "inch")} ·{" "}
              {preview.stitches.toLocaleString("en-GB")} stitches · {preview.stops}{" "}
              {preview.stops === 1 ? "stop" : "stops"}
            </dd>
          </dl>
          {words ? <p className="text-madder">{words}</p> : null}
          <ReadingFields preview={preview} reading={reading} onChanged={change} />
          {preview.leftOut.length || imported.unread.length ? (
            <ul className="max-h-[86px] list-inside list-disc overflow-y-auto text-[13px] text-madder">
              {[...preview.leftOut, ...imported.unread].map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          ) : null}
          <BlockList blocks={preview.blocks} chosen={chosen} onChosen={setChosen} />
        </div>
      </div>
    </FormPanel>
  );
}
