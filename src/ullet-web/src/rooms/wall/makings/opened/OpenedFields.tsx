import { Check } from "lucide-react";
import { saveFile } from "../../../../api/client";
import { useEdits } from "../../../../api/edits";
import { isFormed, type Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Button } from "../../../../parts/Button";
import { Choice } from "../../../../parts/fields/Choice";
import { Tick } from "../../../../parts/fields/Tick";
import { TextButton } from "../../../../parts/TextButton";
import { sizeText } from "../../../../state/lengths";
import type { ElementProps } from "../../card/elementProps";
import { ThreadChoice } from "../ThreadChoice";

/** What opened stitches are for, their thread, and their place in the file. */
export function OpenedFields({ projectId, scene, element }: ElementProps<Made<"opened">>) {
  const edits = useEdits(projectId);
  const roles = useCatalogue().data?.openedRoles ?? [];
  const { making } = element;
  const set = (part: object) => edits.edit({ edit: "setOpened", elementIds: [element.id], ...part });
  const form = isFormed(element, "opened") ? element.form : null;
  const about = roles.find((row) => row.role === making.role)?.about;
  return (
    <>
      <p className="text-[14px] text-muted">
        Block {making.place} of {making.fileName ?? "a part"}: {making.lookWords},{" "}
        {form?.stitches.toLocaleString("en-GB")} stitches
        {form?.trims ? `, ${form.trims} ${form.trims === 1 ? "trim" : "trims"}` : ""}
        {making.isResting ? ". They are kept beside what was made of them, and not sewn." : "."}
      </p>
      <Choice
        label={making.isUnsure ? "Perhaps they are" : making.isGuessed ? "They look like" : "They are"}
        value={making.role}
        options={roles.map((row) => ({ value: row.role, label: row.words }))}
        onChosen={(role) => set({ role })}
      />
      <p className="text-[13px] text-muted">{about}</p>
      {making.isGuessed ? (
        <Button onClick={() => set({ role: making.role })}>
          <Check size={16} aria-hidden />
          Yes, {making.words}
        </Button>
      ) : null}
      <ThreadChoice
        label="Thread"
        threads={scene.threads}
        value={making.threadId}
        usual={scene.threads.find((thread) => thread.id === scene.hooping.coverThreadId)}
        whose="the project’s"
        onChosen={(threadId) =>
          threadId ? edits.edit({ edit: "setSeenThread", elementId: element.id, threadId }) : undefined
        }
      />
      {making.sizes.length ? (
        <Choice
          label="Size of the design"
          value={making.asset ?? ""}
          options={making.sizes.map((size) => ({
            value: size.asset,
            label: `${size.name}, ${sizeText(size.width, size.height, scene.unit)}`,
          }))}
          onChosen={(asset) => edits.edit({ edit: "exchangeSize", fileId: making.fileId, asset })}
        />
      ) : null}
      <Tick
        label="May be sewn apart from the file’s order"
        checked={making.isFree}
        onChanged={(isFree) => set({ isFree })}
      />
      {making.hands.length ? (
        <ul aria-label="What hands do with it" className="list-inside list-disc space-y-1 text-[13px]">
          {making.hands.map((words, i) => (
            <li key={i}>{words}</li>
          ))}
        </ul>
      ) : null}
      {making.asset ? (
        <TextButton onClick={() => void saveFile(`/api/stitches/${making.asset}/file`)}>
          Save the file as it came
        </TextButton>
      ) : null}
    </>
  );
}
