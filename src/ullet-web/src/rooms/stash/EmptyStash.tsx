import { Plus } from "lucide-react";
import { Button } from "../../parts/Button";

interface Props {
  words: string;
  action: string;
  onAdd: () => void;
}

/** What stands where the stash has nothing yet. */
export function EmptyStash({ words, action, onAdd }: Props) {
  return (
    <div className="rounded-card border border-dashed border-field bg-white px-8 py-16 text-center">
      <p className="mx-auto mb-4 max-w-md text-[17px]">{words}</p>
      <Button look="main" onClick={onAdd}>
        <Plus size={16} aria-hidden />
        {action}
      </Button>
    </div>
  );
}
