import { useState, type ReactNode } from "react";

interface Props {
  /** What the file is, for those who can't see the button. */
  label: string;
  /** Endings, with commas between. */
  accept: string;
  /** Draws what opens the chooser. */
  children: (open: () => void) => ReactNode;
  onChosen: (file: File) => unknown;
}

/** Asks for a file of this computer. */
export function FileChooser({ label, accept, children, onChosen }: Props) {
  const [chooser, setChooser] = useState<HTMLInputElement | null>(null);
  return (
    <>
      {children(() => chooser?.click())}
      <input
        ref={setChooser}
        type="file"
        accept={accept}
        aria-label={label}
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void onChosen(file);
        }}
      />
    </>
  );
}
