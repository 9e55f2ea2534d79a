import { bytesAsBase64 } from "../../state/base64";
import { Button } from "../Button";
import { FileChooser } from "../fields/FileChooser";
import { PlainArea } from "../fields/PlainArea";

/** A table as it comes: pasted, or a file in base 64. */
export type Source = { text: string } | { file: string; name: string };

/** What is sent of a table. */
export const sent = (source: Source) => ("file" in source ? { file: source.file } : { text: source.text });

/** True while nothing was pasted and no file was chosen. */
export const isNothing = (source: Source) => "text" in source && source.text.trim() === "";

interface Props {
  label: string;
  /** What the file is, for those who can't see the button. */
  fileLabel: string;
  accept: string;
  source: Source;
  onSource: (source: Source) => void;
}

/** Where a table comes from: rows pasted from a spreadsheet, or a file. */
export function TableSource({ label, fileLabel, accept, source, onSource }: Props) {
  return (
    <div className="flex items-end gap-3">
      <PlainArea
        label={label}
        className="h-[92px] font-mono text-[13px]"
        value={"text" in source ? source.text : `(the file ${source.name})`}
        onChange={(text) => onSource({ text })}
      />
      <FileChooser
        label={fileLabel}
        accept={accept}
        onChosen={async (file) =>
          onSource({ file: bytesAsBase64(await file.arrayBuffer()), name: file.name })
        }
      >
        {(open) => <Button onClick={open}>Open a CSV file</Button>}
      </FileChooser>
    </div>
  );
}
