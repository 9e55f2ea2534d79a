import { Download, ExternalLink, Image } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, Refused, type Schemas } from "../../api/client";
import { useJobs, type BookField, type BookOrder, type useBookEdits } from "../../api/orders";
import { useTried, type Typing } from "./useTried";
import { Button, buttonClass } from "../../parts/Button";
import { TextButton } from "../../parts/TextButton";
import { duration, sizeText } from "../../state/lengths";
import { say } from "../../state/messages";
import { useUnits } from "../../state/units";

interface Props {
  projectId: string;
  order: BookOrder;
  fields: BookField[];
  typing: Typing | null;
  edits: ReturnType<typeof useBookEdits>;
}

/** One order: what it looks like, what was found of it, what was made of it. */
export function OrderPanel({ projectId, order, fields, typing, edits }: Props) {
  const unit = useUnits((units) => units.shown);
  const tried = useTried(projectId, order, fields, typing);
  const judged = tried?.judged ?? order.judged;
  const base = `/api/projects/${projectId}/orders/${order.id}`;
  const look = judged?.look ?? "none";
  const rules = judged?.outcomes.filter((outcome) => outcome.rule) ?? [];
  return (
    <aside
      aria-label={`Order ${order.number}`}
      className="w-[330px] shrink-0 space-y-3 overflow-y-auto border-l border-line bg-white px-4 py-3 max-md:w-full max-md:border-t max-md:border-l-0"
    >
      <h2 className="truncate font-head text-[19px] font-semibold">
        Order {order.number}
        {judged?.says ? <span className="ml-2 text-[15px] font-normal text-muted">{judged.says}</span> : null}
      </h2>
      {judged?.stitches ? (
        tried ? (
          <img
            src={`/api/projects/${projectId}/orders/try.png?size=460&values=${encodeURIComponent(JSON.stringify(tried.values))}`}
            alt={`Order ${order.number} as it is typed`}
            className="max-h-[230px] w-full rounded-card border border-indigo bg-chalk object-contain"
          />
        ) : judged.differs ? (
          <BeforeAndAfter base={base} look={look} />
        ) : (
          <img
            src={`${base}/picture.png?size=460&v=${look}`}
            alt={`Order ${order.number} as it will be`}
            className="max-h-[230px] w-full rounded-card border border-line bg-chalk object-contain"
          />
        )
      ) : null}
      {judged?.stitches ? (
        <p className="text-[14px] text-muted">
          {judged.stitches.toLocaleString("en-GB")} stitches, {duration(judged.seconds)} with hands;{" "}
          {sizeText(judged.width, judged.height, unit)}
        </p>
      ) : null}
      {judged?.findings.length ? (
        <ul className="space-y-1.5 text-[14px]" aria-label="Findings of this order">
          {judged.findings.map((finding, i) => (
            <li
              key={i}
              data-level={finding.level}
              className="rounded-card border-l-4 border-marigold bg-marigold-pale px-2.5 py-1.5 data-[level=stop]:border-madder data-[level=stop]:bg-madder-pale"
            >
              {finding.words}
            </li>
          ))}
        </ul>
      ) : judged ? (
        <p className="text-[14px] text-verdigris">Nothing stands against it.</p>
      ) : null}
      {rules.length ? (
        <ul className="text-[14px]" aria-label="How it was made to fit">
          {rules.map((outcome) => (
            <li key={outcome.fillInId}>
              {fields.find((field) => field.id === outcome.fillInId)?.label}: {outcome.rule}
            </li>
          ))}
        </ul>
      ) : null}
      <Kept projectId={projectId} order={order} edits={edits} />
      <div className="flex flex-wrap gap-2">
        {judged?.stitches ? (
          <a className={buttonClass("plain")} href={`${base}/proof.png?spelled=true`} download>
            <Image size={15} aria-hidden />
            Proof as a picture
          </a>
        ) : null}
        <OwnProject projectId={projectId} order={order} />
        <Button
          look="trouble"
          onClick={() => void edits.change(`Remove order ${order.number}`, [], [order.id])}
        >
          Remove
        </Button>
      </div>
    </aside>
  );
}

/** A changed project: the order as it holds, and as today's project would make it. */
function BeforeAndAfter({ base, look }: { base: string; look: string }) {
  return (
    <div className="grid grid-cols-2 gap-2">
      {[
        ["held", "As it was"],
        ["today", "As it would be now"],
      ].map(([at, words]) => (
        <figure key={at}>
          <img
            src={`${base}/picture.png?size=300&at=${at}&v=${look}`}
            alt={words}
            className="h-[130px] w-full rounded-card border border-line bg-chalk object-contain"
          />
          <figcaption className="text-center text-[13px] text-muted">{words}</figcaption>
        </figure>
      ))}
    </div>
  );
}

/** The files that are kept of it, and what another making would change. */
function Kept({ projectId, order, edits }: Omit<Props, "fields" | "typing">) {
  const jobs = useJobs(projectId);
  const [compared, setCompared] = useState<Schemas["AnewDto"] | null>(null);
  const made = order.made;
  const path = { params: { path: { id: projectId, orderId: order.id } } };
  const compare = async () => {
    try {
      setCompared(await answered(api.POST("/api/projects/{id}/orders/{orderId}/anew", path)));
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be compared.", "trouble");
    }
  };
  const follow = async () => {
    try {
      await answered(
        api.POST("/api/projects/{id}/orders/hold", {
          params: { path: { id: projectId } },
          body: { ids: [order.id] },
        }),
      );
      await edits.refresh();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };
  if (!made)
    return order.isHeld && order.judged?.differs ? (
      <p className="text-[14px]">
        The project was changed since its proof.{" "}
        <TextButton onClick={() => void follow()}>Go with today’s project</TextButton>
      </p>
    ) : null;
  return (
    <section aria-label="Kept files" className="space-y-1.5 rounded-card border border-line p-3 text-[14px]">
      <p className="font-semibold">
        Made {new Date(made.at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}
      </p>
      <p className="text-muted">
        {(made.bytes / 1024).toLocaleString("en-GB", { maximumFractionDigits: 0 })} KB,{" "}
        <span title={made.sha256}>hash {made.sha256.slice(0, 12)}…</span>
        {made.fonts.length ? `; letters ${made.fonts.join(", ")}` : ""}; Ullet {made.program}
        {made.hooping ? `; in ${made.hooping.toLowerCase()}` : ""}
      </p>
      <a className={buttonClass("main")} href={`/api/orders/${order.id}/packet.zip`} download>
        <Download size={15} aria-hidden />
        The same again
      </a>
      {compared ? (
        <div role="status" className="space-y-1">
          {compared.words.map((words) => (
            <p key={words}>{words}</p>
          ))}
          <details>
            <summary className="text-indigo">
              {compared.files.length ? `${compared.files.length} files would differ` : "No file would differ"}
            </summary>
            <ul className="text-[13px] text-muted">
              {compared.files.map((file) => (
                <li key={file} className="break-words">
                  {file}
                </li>
              ))}
            </ul>
          </details>
          <Button onClick={() => void jobs.begin("packets", [order.id], { anew: true })}>
            Make with today’s project
          </Button>
        </div>
      ) : (
        <p>
          <TextButton onClick={() => void compare()}>What would today’s project change?</TextButton>
        </p>
      )}
    </section>
  );
}

/** Opens the order as a project, for work by hand. */
function OwnProject({ projectId, order }: { projectId: string; order: BookOrder }) {
  const navigate = useNavigate();
  const open = async () => {
    try {
      const own = await answered(
        api.POST("/api/projects/{id}/orders/{orderId}/project", {
          params: { path: { id: projectId, orderId: order.id } },
        }),
      );
      void navigate(`/p/${own.projectId}/wall`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "It could not be opened.", "trouble");
    }
  };
  return (
    <Button
      onClick={() => void open()}
      title="It stays in the book; its packet is made from that project then"
    >
      <ExternalLink size={15} aria-hidden />
      {order.ownProjectId ? "Its own project" : "Open as a project"}
    </Button>
  );
}
