import { Download } from "lucide-react";
import { useJob, useJobs, type BookOrder } from "../../api/orders";
import { Button, buttonClass } from "../../parts/Button";

const WORDS = { waiting: "waits", running: "is at work", cancelled: "was stopped", done: "is done" } as const;

/** How the newest job stands: how far, what failed and why, stop, go on, and what it made. */
export function JobBar({ projectId, orders }: { projectId: string; orders: BookOrder[] }) {
  const job = useJob(projectId);
  const jobs = useJobs(projectId);
  if (!job) return null;
  const count = job.items.length;
  const isOn = job.state === "waiting" || job.state === "running";
  const failed = job.items.filter((item) => item.state === "failed");
  const left = count - job.made - job.failed;
  const what = job.kind === "packets" ? "Packets" : "Hoopings";
  return (
    <section
      aria-label="Job"
      data-job={job.state}
      className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-chalk px-4 py-2 text-[14px]"
    >
      <p role="status">
        <span className="font-semibold">{what}</span>: {job.made} of {count} made
        {job.failed ? `, ${job.failed} failed` : ""}; the job {WORDS[job.state]}
        {orders.length === 0 ? " (its orders are gone from the book)" : ""}
      </p>
      <progress
        aria-label={`${what} made`}
        className="h-2 w-[220px] overflow-hidden rounded-full [&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-indigo"
        value={job.made + job.failed}
        max={count}
      />
      {isOn ? <Button onClick={() => void jobs.cancel(job.id)}>Stop</Button> : null}
      {!isOn && left + job.failed > 0 ? (
        <Button onClick={() => void jobs.resume(job.id)}>
          {left ? `Go on with ${left + job.failed}` : `Try ${job.failed} again`}
        </Button>
      ) : null}
      {job.made && !isOn ? (
        <a
          className={buttonClass(job.state === "done" ? "main" : "plain")}
          href={`/api/jobs/${job.id}/packets.zip`}
          download
        >
          <Download size={15} aria-hidden />
          Save what was made
        </a>
      ) : null}
      {failed.length ? (
        <ul className="basis-full space-y-0.5 text-madder">
          {failed.slice(0, 4).map((item) => (
            <li key={item.name}>
              <span className="font-semibold">{item.name}</span>: {item.words}
            </li>
          ))}
          {failed.length > 4 ? <li>… and {failed.length - 4} more</li> : null}
        </ul>
      ) : null}
    </section>
  );
}
