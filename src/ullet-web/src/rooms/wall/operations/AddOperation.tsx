import { Plus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { OperationChoice } from "../../../api/client";
import { useCatalogue } from "../../../api/queries";
import { buttonClass } from "../../../parts/Button";
import { mainContainer } from "../../../parts/mainContainer";

interface Props {
  isLine: boolean;
  disabled: boolean;
  onAsked: (choice: OperationChoice) => void;
}

/** The list of operations to add. */
export function AddOperation({ isLine, disabled, onAsked }: Props) {
  const choices = useCatalogue().data?.operations ?? [];
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger disabled={disabled} className={`${buttonClass()} w-full`}>
        <Plus size={16} aria-hidden />
        Add an operation
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal container={mainContainer()}>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={8}
          aria-label="Operations to add"
          className="z-50 w-[290px] rounded-card border border-line bg-white p-1 shadow-lg"
          onKeyDown={(event) => event.stopPropagation()}
        >
          {choices
            .filter((each) => !isLine || each.worksOnLines)
            .map((each) => (
              <DropdownMenu.Item
                key={each.name}
                onSelect={() => onAsked(each)}
                className="cursor-pointer rounded-[6px] px-3 py-1 outline-none data-[highlighted]:bg-indigo-pale"
              >
                <span className="block text-[14px] font-medium">{each.name}</span>
                <span className="block text-[12px] text-muted">{each.about}</span>
              </DropdownMenu.Item>
            ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
