import { RotateCw } from "lucide-react";
import { useHandedOut } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { bytes } from "../../state/bytes";
import { whenText } from "../../state/when";
import { useMore } from "../../parts/useMore";

const AT_ONCE = 12;

/** What was handed out of the project, newest first; the same can be had again, byte for byte. */
export function HandedList({ projectId, head }: { projectId: string; head: number }) {
  const handed = useHandedOut(projectId, head);
  const [shown, sentinel] = useMore(handed.data ?? [], AT_ONCE);
  return (
    <section aria-label="Handed out before">
      <h2 className="mb-1.5 font-head text-[17px] font-semibold">Handed out before</h2>
      {handed.isError ? <p className="text-madder">{handed.error.message}</p> : null}
      {handed.data?.length === 0 ? (
        <p className="text-[14px] text-muted">
          Nothing yet. What goes out is kept here, to be had again byte for byte.
        </p>
      ) : (
        <ul className="max-h-[340px] divide-y divide-line overflow-y-auto rounded-card border border-line bg-white">
          {shown.map((file) => (
            <li key={file.id} className="flex items-center gap-3 px-4 py-1.5 text-[14px]">
              <span className="min-w-0 flex-1">
                <span className="block truncate" title={file.name}>
                  {file.name}
                </span>
                <span className="block text-[13px] text-muted">
                  {whenText(file.at)} · {bytes(file.length)}
                  {file.isOfNow ? "" : " · the project has changed since"}
                </span>
              </span>
              <a
                className={buttonClass("plain")}
                href={`/api/projects/${projectId}/handed-out/${file.id}`}
                download
                aria-label={`The same again: ${file.name}`}
              >
                <RotateCw size={15} aria-hidden />
                The same again
              </a>
            </li>
          ))}
          {sentinel ? <li>{sentinel}</li> : null}
        </ul>
      )}
    </section>
  );
}
