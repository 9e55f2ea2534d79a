import { importFile, Refused, type OrderedStep } from "../../api/client";
import { useEdits } from "../../api/edits";
import { FileChooser } from "../../parts/fields/FileChooser";
import { TextButton } from "../../parts/TextButton";
import { say } from "../../state/messages";

/** A photo of one's own that stands beside a step in the booklet. */
export function StepPhoto({ projectId, step }: { projectId: string; step: OrderedStep }) {
  const edits = useEdits(projectId);
  const set = (picture: string | null) => edits.edit({ edit: "photoStep", stepKey: step.key, picture });
  const bring = async (file: File) => {
    try {
      const preview = await importFile(file);
      if (preview.kind === "picture") void set(preview.token);
      else say("Choose a photo (.png, .jpg).", "trouble");
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That photo could not be read.", "trouble");
    }
  };
  return step.photo ? (
    <p className="flex items-center gap-3 text-[14px]">
      <img
        src={`/api/assets/${step.photo}`}
        alt="Your own photo of this step"
        className="h-[64px] rounded-card border border-line"
      />
      <TextButton onClick={() => void set(null)}>Take the photo away</TextButton>
    </p>
  ) : (
    <FileChooser label="Photo beside this step" accept=".png,.jpg,.jpeg" onChosen={bring}>
      {(open) => <TextButton onClick={open}>Put a photo of your own beside this step</TextButton>}
    </FileChooser>
  );
}
