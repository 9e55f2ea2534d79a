interface Props {
  label: string;
  value: string;
  /** The list that it searches. */
  listId: string;
  /** The row that Enter takes. */
  activeId: string | undefined;
  onChange: (text: string) => void;
  /** Up or down the list. */
  onMove: (by: number) => void;
  onEnter: () => void;
}

/** The line that searches a list below it: arrows choose in the list, Enter takes. */
export function SearchInput({ label, value, listId, activeId, onChange, onMove, onEnter }: Props) {
  return (
    <input
      role="combobox"
      aria-label={label}
      aria-expanded
      aria-controls={listId}
      aria-activedescendant={activeId}
      aria-autocomplete="list"
      placeholder={label}
      autoComplete="off"
      value={value}
      className="h-12 min-w-0 flex-1 bg-transparent text-[17px] outline-none placeholder:text-muted"
      onChange={(event) => onChange(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === "ArrowDown") onMove(1);
        else if (event.key === "ArrowUp") onMove(-1);
        else if (event.key === "PageDown") onMove(8);
        else if (event.key === "PageUp") onMove(-8);
        else if (event.key === "Enter") onEnter();
        else return;
        event.preventDefault();
      }}
    />
  );
}
