import type { ReactNode } from "react";
import { FilesChooser } from "./FilesChooser";

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
export function FileChooser({ onChosen, ...rest }: Props) {
  return <FilesChooser {...rest} isOne onChosen={([file]) => (file ? onChosen(file) : undefined)} />;
}
