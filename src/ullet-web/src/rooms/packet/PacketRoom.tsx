import { Download, FileImage, FolderArchive, Spool, Table2 } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link, useParams } from "react-router";
import { useCatalogue, useScene } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { duration, sizeText } from "../../state/lengths";
import { BookletRow } from "./BookletRow";
import { CutRows } from "./CutRows";
import { FolderPanel } from "./FolderPanel";
import { HandedList } from "./HandedList";
import { PhoneSwitch } from "./PhoneSwitch";
import { Tick } from "../../parts/fields/Tick";

/** What the project hands over. */
export function PacketRoom() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const formats = useCatalogue().data?.stitchFormats ?? [];
  const [despite, setDespite] = useState(false);
  if (!scene) return null;
  const files = `/api/projects/${id}`;
  const held = despite ? "despite=true" : "";
  const stops = scene.findings.filter((finding) => finding.level === "stop");
  const isStopped = stops.length > 0 && !despite;
  if (scene.elements.length === 0)
    return (
      <main className="flex flex-1 flex-col items-center justify-center gap-3" data-state="idle">
        <h1 className="sr-only">Packet</h1>
        <p className="text-[17px]">There is nothing to hand over yet. Lay a piece on the wall first.</p>
        <Link className={buttonClass("main")} to={`/p/${id}/wall`}>
          Go to the wall
        </Link>
      </main>
    );
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto" data-state="idle">
      <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(260px,400px)_minmax(0,1fr)] gap-8 px-6 py-6 max-lg:grid-cols-1 max-md:px-4">
        <div>
          <img
            src={`${files}/picture.png?size=900&rev=${scene.head}`}
            alt={`${scene.title}, finished`}
            className="mx-auto max-h-[600px] max-w-full rounded max-lg:max-h-[320px]-[12px] border border-line shadow"
          />
        </div>
        <div className="space-y-4">
          <div>
            <h1 className="font-head text-[26px] font-semibold">Packet</h1>
            <p className="text-muted">
              Every file below was read back before it is handed out: order, stops and sizes are what the file
              says, not what was meant.
            </p>
          </div>
          {stops.length ? (
            <section
              aria-label="What stops the export"
              className="space-y-2 rounded-card border border-madder bg-madder-pale px-4 py-3"
            >
              {stops.map((finding, i) => (
                <p key={i}>{finding.words}</p>
              ))}
              <Tick
                label="Hand it over despite this; the files will say so"
                className="font-semibold"
                checked={despite}
                onChanged={(on) => setDespite(on)}
              />
            </section>
          ) : null}
          <ul className="divide-y divide-line rounded-card border border-line bg-white">
            <FileRow
              icon={<Spool size={22} aria-hidden />}
              name="Stitch file"
              facts={`${scene.stitchCount.toLocaleString("en-GB")} stitches, ${scene.stopCount} stops, ${duration(scene.seconds)} with hands${scene.design ? `; ${sizeText(scene.design.width, scene.design.height, scene.unit)}` : ""}`}
              href={`${files}/program.ulst?${held}`}
              isStopped={isStopped}
            />
            {scene.guides.map((guide) => (
              <FileRow
                key={guide.id}
                icon={<Spool size={22} aria-hidden />}
                name={`Stitch file, ${guide.name}`}
                facts={`In a hooping of its own: ${guide.stitchCount.toLocaleString("en-GB")} stitches, ${duration(guide.seconds)} with hands`}
                href={`${files}/program.ulst?hooping=${guide.id}&${held}`}
                isStopped={isStopped}
              />
            ))}
            {formats.slice(1).map((format) => (
              <FileRow
                key={format.ending}
                icon={<Table2 size={22} aria-hidden />}
                name={`Stitches as .${format.ending}`}
                facts={format.about}
                href={`${files}/program.${format.ending}?${held}`}
                isStopped={isStopped}
              />
            ))}
            <CutRows projectId={id} scene={scene} />
            <BookletRow projectId={id} scene={scene} isStopped={isStopped} despite={despite} />
            <FileRow
              icon={<FileImage size={22} aria-hidden />}
              name="Picture"
              facts="As finished, 1600 pixels"
              href={`${files}/picture.png?size=1600&hand=true`}
              saveAs={`${scene.title}.png`}
            />
            <FileRow
              icon={<FolderArchive size={22} aria-hidden />}
              name="Project file"
              facts="The whole project, to keep or to open elsewhere"
              href={`${files}/project.ullet`}
            />
          </ul>
          <PhoneSwitch projectId={id} />
          {isStopped ? (
            <p className="text-[14px] text-muted">
              Mend what stands above, or tick the box to hand it over despite it.
            </p>
          ) : (
            <FolderPanel projectId={id} head={scene.head} held={held} />
          )}
          <HandedList projectId={id} head={scene.head} />
        </div>
      </div>
    </main>
  );
}

interface RowProps {
  icon: ReactNode;
  name: string;
  facts: string;
  href: string;
  saveAs?: string;
  /** True while a finding stops it. */
  isStopped?: boolean;
}

function FileRow({ icon, name, facts, href, saveAs, isStopped }: RowProps) {
  return (
    <li className="flex items-center gap-4 px-4 py-2.5">
      <span className="text-muted">{icon}</span>
      <span className="min-w-0 flex-1">
        <span className="block font-semibold">{name}</span>
        <span className="block text-[14px] text-muted">{facts}</span>
      </span>
      {isStopped ? (
        <span className="text-[14px] text-madder">stopped</span>
      ) : (
        <a
          className={buttonClass("plain")}
          href={href}
          download={saveAs ?? true}
          aria-label={`Download: ${name}`}
        >
          <Download size={16} aria-hidden />
          Download
        </a>
      )}
    </li>
  );
}
