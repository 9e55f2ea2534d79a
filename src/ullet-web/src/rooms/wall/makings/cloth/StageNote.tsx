import { useQueryClient } from "@tanstack/react-query";
import { answered, api, Refused, type Catalogue } from "../../../../api/client";
import { keys, useMet } from "../../../../api/queries";
import { Button } from "../../../../parts/Button";
import { say } from "../../../../state/messages";
import { openHelp } from "../../../../verbs/asks";

type Method = Catalogue["methods"][number];

/** Explains the stages of a method that nobody has met yet, each once: with a drawing that is computed as the work is. */
export function StageNote({ method }: { method: Method }) {
  const queries = useQueryClient();
  const met = useMet().data?.stages;
  const fresh = met ? method.stages.filter(({ role, about }) => about && !met.includes(role)) : [];

  const understood = async () => {
    const stages = fresh.map(({ role }) => role);
    queries.setQueryData(keys.met, { stages: [...(met ?? []), ...stages] });
    try {
      await answered(api.POST("/api/met", { body: { stages } }));
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be kept.", "trouble");
      await queries.invalidateQueries({ queryKey: keys.met });
    }
  };

  if (fresh.length === 0) return null;
  return (
    <section
      aria-label="What the stages are"
      className="rounded-card border border-indigo bg-indigo-pale p-2.5"
    >
      <ul className="space-y-2">
        {fresh.map(({ role, name, about }) => (
          <li key={role} className="flex gap-2.5">
            <img
              src={`/api/help/stages/${method.id}/${role}.svg`}
              alt=""
              className="size-[66px] shrink-0 rounded-[6px] border border-line bg-white object-cover object-left"
            />
            <p className="text-[13px] leading-4.5">
              <b className="block font-semibold">{name.charAt(0).toUpperCase() + name.slice(1)}</b>
              {about}
            </p>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => void understood()}>Understood</Button>
        <Button look="quiet" onClick={() => openHelp("methods", `method-${method.id}`)}>
          The whole method
        </Button>
      </div>
    </section>
  );
}
