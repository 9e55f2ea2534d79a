import type { ReactNode } from "react";
import { importFile, Refused } from "../api/client";
import { say } from "../state/messages";
import { FileChooser } from "./fields/FileChooser";

interface Props {
  /** What the photo is, for those who can't see the button. */
  label: string;
  /** Draws what opens the chooser. */
  children: (open: () => void) => ReactNode;
  /** Called with the kept picture's name for ever. */
  onBrought: (picture: string) => void;
}

/** Brings a photo of this computer in; what is none says so. */
export function PhotoChooser({ label, children, onBrought }: Props) {
  const bring = async (file: File) => {
    try {
      const { token, picture } = await importFile(file);
      if (!picture)
        throw new Refused(`"${file.name}" is no picture; choose a PNG or a JPEG.`, "picture-foreign");
      onBrought(token);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That picture can’t be read.", "trouble");
    }
  };
  return (
    <FileChooser label={label} accept=".png,.jpg,.jpeg" onChosen={bring}>
      {children}
    </FileChooser>
  );
}
