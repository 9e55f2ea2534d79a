import type { OrderedStep } from "../../api/client";
import { useEdits } from "../../api/edits";
import { PhotoChooser } from "../../parts/PhotoChooser";
import { TextButton } from "../../parts/TextButton";

/** A photo of one's own that stands beside a step in the booklet. */
export function StepPhoto({ projectId, step }: { projectId: string; step: OrderedStep }) {
  const edits = useEdits(projectId);
  const set = (picture: string | null) => void edits.edit({ edit: "photoStep", stepKey: step.key, picture });
  return step.photo ? (
    <p className="flex items-center gap-3 text-[14px]">
      <img
        src={`/api/assets/${step.photo}`}
        alt="Your own photo of this step"
        className="h-[64px] rounded-card border border-line"
      />
      <TextButton onClick={() => set(null)}>Take the photo away</TextButton>
    </p>
  ) : (
    <PhotoChooser label="Photo beside this step" onBrought={set}>
      {(open) => <TextButton onClick={open}>Put a photo of your own beside this step</TextButton>}
    </PhotoChooser>
  );
}
