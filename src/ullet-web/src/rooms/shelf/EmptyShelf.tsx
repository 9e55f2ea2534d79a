import { Layers3, Plus } from "lucide-react";
import { Button } from "../../parts/Button";

interface Props {
  onNew: () => void;
  onPattern: () => void;
}

/** What stands on a shelf without projects. */
export function EmptyShelf({ onNew, onPattern }: Props) {
  return (
    <div className="rounded-card border border-dashed border-field bg-white px-8 py-16 text-center">
      <p className="mx-auto mb-4 max-w-md text-[17px]">
        The shelf is empty. Start with a hoop, lay a shape in it, and Ullet works out the stitches and the cut
        shapes; or choose a pattern that is sewn whole inside the hoop.
      </p>
      <div className="flex justify-center gap-2">
        <Button onClick={onPattern}>
          <Layers3 size={17} aria-hidden />
          From a pattern
        </Button>
        <Button look="main" onClick={onNew}>
          <Plus size={17} aria-hidden />
          New project
        </Button>
      </div>
    </div>
  );
}
