import { Download, FileText, Folder } from "lucide-react";
import { useState } from "react";
import { usePacket } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { PlainField } from "../../parts/fields/PlainField";

interface Props {
  projectId: string;
  head: number;
  /** Asks for it against findings; empty else. */
  held: string;
}

/** Everything in one folder: what it is called, and what is in it before it is made. */
export function FolderPanel({ projectId, head, held }: Props) {
  const packet = usePacket(projectId, head);
  const [typed, setTyped] = useState<string | null>(null);
  const folder = typed ?? packet.data?.folder ?? "";
  const query = [held, typed?.trim() ? `folder=${encodeURIComponent(typed.trim())}` : ""]
    .filter(Boolean)
    .join("&");
  return (
    <section aria-label="The folder" className="rounded-card border border-line bg-white p-4">
      <div className="flex flex-wrap items-end gap-3">
        <PlainField
          label="The folder’s name"
          className="min-w-[260px] flex-1"
          value={folder}
          onChange={setTyped}
        />
        <a className={buttonClass("main")} href={`/api/projects/${projectId}/packet.zip?${query}`} download>
          <Download size={17} aria-hidden />
          Everything in one folder
        </a>
      </div>
      {packet.isError ? <p className="mt-2 text-madder">{packet.error.message}</p> : null}
      {packet.data ? (
        <details className="mt-3">
          <summary className="text-[14px] text-indigo">
            What is in it: {packet.data.files.length} files
          </summary>
          <ul className="mt-2 space-y-1 text-[14px]">
            {packet.data.files.map((file) => {
              const inner = file.name.startsWith("cut/");
              const Icon = inner ? Folder : FileText;
              return (
                <li key={file.name} className="flex gap-2">
                  <Icon size={15} aria-hidden className="mt-0.5 shrink-0 text-muted" />
                  <span className="min-w-0">
                    <span className="break-words">{file.name}</span>
                    <span className="text-muted"> · {file.what}</span>
                  </span>
                </li>
              );
            })}
          </ul>
        </details>
      ) : null}
    </section>
  );
}
