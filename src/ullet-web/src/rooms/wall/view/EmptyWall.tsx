import { useState, type ReactNode } from "react";
import { useEdits } from "../../../api/edits";
import { useCatalogue, usePatterns, useSketches } from "../../../api/queries";
import { PatternPicture } from "../../../parts/PatternPicture";
import { ask } from "../../../verbs/asks";
import { SketchPicture, SketchRows } from "../sketches/SketchPicture";

/** Which of the shapes and small drawings stand for all. */
const SHAPE = "Heart";
const DRAWING = "beetroot";

/** Five ways to begin, in the middle of a wall with nothing on it. */
export function EmptyWall({ projectId }: { projectId: string }) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue().data;
  const patterns = usePatterns().data ?? [];
  const sketches = useSketches("").data ?? [];
  const [choosing, setChoosing] = useState(false);
  const shape = catalogue?.shapes.find(({ name }) => name === SHAPE) ?? catalogue?.shapes[0];
  const sketch = sketches.find(({ name }) => name.toLowerCase() === DRAWING) ?? sketches[0];
  const [pattern] = patterns;
  const begin = (patternId: string) =>
    edits.edit({ edit: "usePattern", patternId, fontId: catalogue?.usualFontId ?? null });

  return (
    <section
      aria-label="Ways to begin"
      className="absolute top-1/2 left-1/2 z-10 w-[560px] max-w-[94%] -translate-x-1/2 -translate-y-1/2 rounded-card border border-line bg-white p-4 shadow-lg"
    >
      <SketchRows />
      <h2 className="mb-2 font-head text-[17px] font-semibold">
        {choosing ? "Which pattern?" : "How do you want to begin?"}
      </h2>
      {choosing ? (
        <ul className="grid grid-cols-3 gap-2">
          {patterns.map((each) => (
            <li key={each.id}>
              <Start
                name={each.name}
                what={each.summary}
                onClick={() => void begin(each.id)}
                picture={<PatternPicture drawing={each.drawing} className="h-full w-full" />}
              />
            </li>
          ))}
        </ul>
      ) : (
        <ul className="grid grid-cols-3 gap-2">
          <li>
            <Start
              name="A shape"
              what="heart, star, leaf and others, as a piece of cloth"
              onClick={() => ask("shapes")}
              picture={
                <svg viewBox="-20 -20 40 40" aria-hidden className="h-full w-full">
                  <path d={shape?.path} fill="#97304f" stroke="#5e1c38" strokeWidth="2.4" />
                  <path
                    d={shape?.path}
                    fill="none"
                    stroke="#ffffff"
                    strokeOpacity="0.3"
                    strokeWidth="2.4"
                    strokeDasharray="0.5 0.5"
                  />
                </svg>
              }
            />
          </li>
          <li>
            <Start
              name="Letters"
              what="a name or a word, in cloth or in thread"
              onClick={() => ask("letters")}
              picture={
                <svg viewBox="0 0 90 44" aria-hidden className="h-full w-full">
                  <text
                    x="45"
                    y="34"
                    textAnchor="middle"
                    fontFamily="Bricolage Grotesque Variable"
                    fontSize="36"
                    fontWeight="700"
                    fill="#35584b"
                    stroke="#c99a2e"
                    strokeWidth="1.6"
                  >
                    Ada
                  </text>
                </svg>
              }
            />
          </li>
          <li>
            <Start
              name="A small drawing"
              what="vegetables, tools, weather: in cloth, thread or line"
              onClick={() => ask("sketches")}
              picture={
                sketch ? <SketchPicture sketch={sketch} way="cloth" className="h-full w-full" /> : null
              }
            />
          </li>
          <li>
            <Start
              name="A pattern"
              what="a pouch, a rug, a patch, sewn whole in the hoop"
              onClick={() => setChoosing(true)}
              picture={
                pattern ? <PatternPicture drawing={pattern.drawing} className="h-full w-full" /> : null
              }
            />
          </li>
          <li>
            <Start
              name="A file"
              what="a drawing in SVG or DXF, at its true size"
              onClick={() => ask("drawingFile")}
              picture={
                <svg viewBox="0 0 60 44" aria-hidden className="h-full w-full">
                  <path d="M14 3h22l10 10v28H14z" fill="#f3f5f7" stroke="#5a6878" strokeWidth="1.4" />
                  <path d="M36 3v10h10" fill="none" stroke="#5a6878" strokeWidth="1.4" />
                  <path
                    d="M19 32c5-14 9-14 13-6s6 4 9-4"
                    fill="none"
                    stroke="#3b4ba3"
                    strokeWidth="1.8"
                    strokeDasharray="3 1.2"
                  />
                  <circle cx="19" cy="32" r="1.8" fill="#3b4ba3" />
                  <circle cx="41" cy="22" r="1.8" fill="#3b4ba3" />
                </svg>
              }
            />
          </li>
          <li className="flex flex-col justify-center gap-1 px-2 text-[14px]">
            <span className="text-muted">Or</span>
            <Link onClick={() => ask("stitchFile")}>open a stitch file</Link>
            <Link onClick={() => ask("parts")}>take a part of your own</Link>
            <Link onClick={() => ask("search")}>search for more (press /)</Link>
          </li>
        </ul>
      )}
      {choosing ? (
        <p className="mt-2 text-[14px]">
          <Link onClick={() => setChoosing(false)}>Back to the other ways</Link>
        </p>
      ) : null}
    </section>
  );
}

interface StartProps {
  name: string;
  what: string;
  picture: ReactNode;
  onClick: () => void;
}

function Start({ name, what, picture, onClick }: StartProps) {
  return (
    <button
      type="button"
      className="flex h-full w-full flex-col rounded-card border border-line p-2.5 text-left hover:border-indigo hover:bg-indigo-pale"
      onClick={onClick}
    >
      <span className="mb-1.5 flex h-[74px] w-full items-center justify-center">{picture}</span>
      <span className="font-semibold">{name}</span>
      <span className="text-[13px] leading-4.5 text-muted">{what}</span>
    </button>
  );
}

function Link({ onClick, children }: { onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" className="self-start text-left text-indigo hover:underline" onClick={onClick}>
      {children}
    </button>
  );
}
