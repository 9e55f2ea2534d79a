import { useState, type ReactNode } from "react";

interface Props {
  /** What the files are, for those who can't see the button. */
  label: string;
  /** Endings, with commas between. */
  accept: string;
  /** True where only one can be chosen. */
  isOne?: boolean;
  /** Draws what opens the chooser. */
  children: (open: () => void) => ReactNode;
  onChosen: (files: File[]) => unknown;
}

/** Asks for one or several files of this computer. */
export function FilesChooser({ label, accept, isOne = false, children, onChosen }: Props) {
  const [chooser, setChooser] = useState<HTMLInputElement | null>(null);
  return (
    <>
      {children(() => chooser?.click())}
      <input
        ref={setChooser}
        type="file"
        multiple={!isOne}
        accept={accept}
        aria-label={label}
        className="hidden"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          if (files.length) void onChosen(files);
        }}
      />
    </>
  );
}
