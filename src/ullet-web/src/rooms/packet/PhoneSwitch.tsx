import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Smartphone } from "lucide-react";
import { answered, api, Refused } from "../../api/client";
import { Button } from "../../parts/Button";
import { say } from "../../state/messages";

const KEY = ["phone"];

/** Opens the card to a phone in the local network, and shuts it again. */
export function PhoneSwitch({ projectId }: { projectId: string }) {
  const queries = useQueryClient();
  const open = useQuery({ queryKey: KEY, queryFn: () => answered(api.GET("/api/phone")) }).data?.open;
  const isOn = open?.projectId === projectId;
  const change = async (on: boolean) => {
    try {
      if (on) await answered(api.POST("/api/projects/{id}/phone", { params: { path: { id: projectId } } }));
      else await answered(api.DELETE("/api/phone"));
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
    await queries.invalidateQueries({ queryKey: KEY });
  };
  return (
    <section aria-label="On a phone" className="rounded-card border border-line bg-white px-4 py-3">
      <div className="flex items-center gap-4">
        <Smartphone size={22} aria-hidden className="text-muted" />
        <div className="min-w-0 flex-1">
          <h2 className="font-semibold">Show on a phone</h2>
          <p className="text-[14px] text-muted">
            Opens this card, and nothing else, to the network that this computer is on.
          </p>
        </div>
        <Button
          look={isOn ? "main" : "plain"}
          role="switch"
          aria-checked={isOn}
          aria-label={`Show on a phone, ${isOn ? "on" : "off"}`}
          onClick={() => void change(!isOn)}
        >
          {isOn ? "On" : "Off"}
        </Button>
      </div>
      {open && !isOn ? (
        <p className="mt-2 text-[14px]">
          Another project’s card is shown now; turning this on ends that one.
        </p>
      ) : null}
      {open && isOn ? (
        <div aria-live="polite" className="mt-3 flex flex-wrap items-start gap-6 border-t border-line pt-3">
          <div>
            <p className="text-[14px] text-muted">Code to type on the phone</p>
            <p
              data-code
              className="font-head text-[34px] leading-tight font-semibold tracking-[0.14em] tabular-nums"
            >
              {open.code}
            </p>
            <p className="max-w-[220px] text-[13px] text-muted">It ends when the switch is turned off.</p>
          </div>
          {open.addresses.map((each) => (
            <figure key={each.address}>
              <svg
                viewBox={`0 0 ${each.qrSide} ${each.qrSide}`}
                role="img"
                aria-label={`QR code of ${each.address}`}
                shapeRendering="crispEdges"
                className="h-[132px] w-[132px] border border-line bg-white"
              >
                <path d={each.qrPath} fill="#1d2a3a" />
              </svg>
              <figcaption className="mt-1 text-[14px]">{each.address}</figcaption>
            </figure>
          ))}
        </div>
      ) : null}
    </section>
  );
}
