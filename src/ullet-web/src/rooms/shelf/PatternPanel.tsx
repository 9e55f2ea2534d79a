import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, Refused, type Pattern } from "../../api/client";
import { keys, usePatterns } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Panel } from "../../parts/Panel";
import { PatternPicture } from "../../parts/PatternPicture";
import { PatternWishFields, type PatternWish } from "./PatternWishFields";

interface Props {
  onClose: () => void;
}

/** Chooses a pattern, its size and its words. */
export function PatternPanel({ onClose }: Props) {
  const patterns = usePatterns();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const chosen = patterns.data?.find((pattern) => pattern.id === chosenId) ?? patterns.data?.[0];
  return (
    <Panel title="New from a pattern" size="large" onClose={onClose} letsGo>
      {patterns.isPending ? <p className="text-muted">Fetching the patterns…</p> : null}
      {patterns.isError ? <p className="text-madder">{patterns.error.message}</p> : null}
      <div className="flex min-h-0 flex-1 gap-6">
        <ul className="w-[270px] shrink-0 space-y-2 overflow-y-auto" aria-label="Patterns">
          {patterns.data?.map((pattern) => (
            <li key={pattern.id}>
              <button
                type="button"
                aria-pressed={pattern.id === chosen?.id}
                className="flex w-full items-center gap-3 rounded-card border border-line p-2 text-left hover:bg-chalk aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
                onClick={() => setChosenId(pattern.id)}
              >
                <PatternPicture drawing={pattern.drawing} className="h-[64px] w-[84px] shrink-0" />
                <span>
                  <span className="block font-semibold">{pattern.name}</span>
                  <span className="block text-[13px] leading-4.5 text-muted">{pattern.summary}</span>
                </span>
              </button>
            </li>
          ))}
        </ul>
        {chosen ? <PatternForm key={chosen.id} pattern={chosen} onClose={onClose} /> : null}
      </div>
    </Panel>
  );
}

/** One pattern's numbers and words, drawn as it will be. */
function PatternForm({ pattern, onClose }: { pattern: Pattern; onClose: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [wish, setWish] = useState<PatternWish>({ numbers: {}, choices: {}, texts: {}, title: "" });
  const [wrong, setWrong] = useState<string | null>(null);
  const numbers = Object.entries(wish.numbers).map(([id, value]) => ({ id, value }));
  const choices = Object.entries(wish.choices).map(([id, optionId]) => ({ id, optionId }));
  const fillIns = Object.entries(wish.texts).map(([id, text]) => ({ id, text }));
  const asked = { numbers, choices, fillIns };
  // Words are looked at once typing pauses for a moment.
  const looked = useDeferredValue(asked);
  const sized = useQuery({
    queryKey: ["pattern", pattern.id, looked],
    queryFn: () =>
      answered(
        api.POST("/api/patterns/{patternId}/size", {
          params: { path: { patternId: pattern.id } },
          body: looked,
        }),
      ),
    retry: false,
    placeholderData: (before) => before,
  });
  const refused = sized.error instanceof Refused ? sized.error.message : null;

  const begin = async (hardware: string, size: number) => {
    try {
      const made = await answered(
        api.POST("/api/patterns/{patternId}/size", {
          params: { path: { patternId: pattern.id } },
          body: { ...asked, hardware, hardwareSize: size },
        }),
      );
      setWrong(null);
      setWish((now) => ({
        ...now,
        numbers: Object.fromEntries(made.numbers.map(({ id, value }) => [id, value])),
      }));
    } catch (failed) {
      setWrong(failed instanceof Refused ? failed.message : "That could not be done.");
    }
  };

  const make = async () => {
    try {
      const made = await answered(
        api.POST("/api/projects", {
          body: {
            title: wish.title.trim() || undefined,
            pattern: {
              patternId: pattern.id,
              ...asked,
            },
          },
        }),
      );
      await queries.invalidateQueries({ queryKey: keys.shelf });
      void navigate(`/p/${made.id}/wall`);
    } catch (failed) {
      setWrong(failed instanceof Refused ? failed.message : "That could not be done.");
    }
  };

  const preview = sized.data?.preview;
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-3 overflow-y-auto">
      {preview ? (
        <PatternPicture
          drawing={preview.drawing}
          label={`${pattern.name} at this size`}
          className="h-[230px] w-full rounded-card bg-chalk p-2"
        />
      ) : null}
      {preview && !refused ? (
        <p className="text-[14px] text-muted">
          {preview.hoop ? `Smallest hoop: ${preview.hoop} mm` : "No hoop of the list takes this size"} ·
          stitching {Math.ceil(preview.width)} × {Math.ceil(preview.height)} mm · {preview.stops} stops before
          your own additions
        </p>
      ) : null}
      <PatternWishFields pattern={pattern} wish={wish} onChange={setWish} onBegin={begin} />
      {(wrong ?? refused) ? <p className="text-madder">{wrong ?? refused}</p> : null}
      <div className="mt-auto flex justify-end gap-2">
        <Button data-lets-go onClick={onClose}>
          Cancel
        </Button>
        <Button look="main" disabled={refused !== null} onClick={() => void make()}>
          Make the {pattern.name.toLowerCase()}
        </Button>
      </div>
    </div>
  );
}
