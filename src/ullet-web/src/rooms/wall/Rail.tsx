import { Keyboard, Maximize, Ruler, Shapes, ZoomIn, ZoomOut } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { Scene, ShapeSource } from "../../api/client";
import { IconButton } from "../../parts/IconButton";
import { useView } from "../../state/view";
import { ShapePicture } from "./ShapePicture";
import { wallEvents } from "./wallEvents";

interface Props {
  projectId: string;
  scene: Scene;
}

/** The slim rail of verbs on the left. */
export function Rail({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue();
  const [open, setOpen] = useState(false);

  const add = (shape: ShapeSource) => {
    setOpen(false);
    const before = scene.elements.map((element) => element.id);
    void wallEvents.adding(projectId, before, () => edits.edit({ edit: "addPiece", shape }));
  };

  return (
    <nav
      aria-label="Verbs"
      className="flex w-[64px] shrink-0 flex-col items-center gap-1 border-r border-line bg-white py-2"
    >
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger className="flex w-[56px] flex-col items-center rounded-card py-1.5 text-[13px] font-medium hover:bg-indigo-pale data-[state=open]:bg-indigo-pale">
          <Shapes size={22} aria-hidden />
          Shape
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="right"
            align="start"
            sideOffset={8}
            aria-label="Shapes"
            className="z-40 grid w-[272px] grid-cols-3 gap-1 rounded-card border border-line bg-white p-2 shadow-lg"
          >
            {catalogue.data?.shapes.map(({ name, shape }) => (
              <button
                key={name}
                type="button"
                className="flex flex-col items-center gap-1 rounded-card px-1 py-2 text-[13px] hover:bg-indigo-pale"
                onClick={() => add(shape)}
              >
                <ShapePicture form={shape.form} />
                {name}
              </button>
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <div className="mt-auto flex flex-col items-center gap-1">
        <IconButton label="Zoom in" keys="+" side="right" onClick={() => wallEvents.zoom(1.25)}>
          <ZoomIn size={19} aria-hidden />
        </IconButton>
        <IconButton label="Zoom out" keys="−" side="right" onClick={() => wallEvents.zoom(0.8)}>
          <ZoomOut size={19} aria-hidden />
        </IconButton>
        <IconButton label="Fit the hoop" keys="0" side="right" onClick={() => wallEvents.fit()}>
          <Maximize size={19} aria-hidden />
        </IconButton>
        <IconButton label="True size" keys="1" side="right" onClick={() => wallEvents.trueSize()}>
          <Ruler size={19} aria-hidden />
        </IconButton>
        <IconButton label="Keys" keys="?" side="right" onClick={() => useView.getState().setKeysOpen(true)}>
          <Keyboard size={19} aria-hidden />
        </IconButton>
      </div>
    </nav>
  );
}
