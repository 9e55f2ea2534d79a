import { useState } from "react";
import { Button } from "../../../parts/Button";
import { NumberField } from "../../../parts/fields/NumberField";
import { Panel } from "../../../parts/Panel";
import { useRuler, USUAL_PIXELS } from "../../../state/ruler";
import { wallEvents } from "../../../verbs/wallEvents";

const BAR_MM = 100;

/** Lays a ruler on the screen once, so that true size is true. */
export function CalibratePanel({ onClose }: { onClose: () => void }) {
  const { pixelsPerMm, setPixelsPerMm } = useRuler();
  const [measured, setMeasured] = useState((BAR_MM * USUAL_PIXELS) / pixelsPerMm);
  const save = () => {
    // The bar is drawn at the usual size; what the ruler reads says how large a mm is here.
    setPixelsPerMm((BAR_MM * USUAL_PIXELS) / measured);
    wallEvents.trueSize();
    onClose();
  };
  const sane = measured >= 40 && measured <= 250;
  return (
    <Panel title="True size" onClose={onClose} letsGo>
      <p className="mb-3">
        Lay a ruler on this bar and type how long it is. It is asked once for this screen.
      </p>
      <div
        className="mb-3 h-5 border-x-2 border-ink bg-indigo-pale"
        style={{ width: BAR_MM * USUAL_PIXELS }}
        aria-hidden
      />
      <NumberField label="The bar measures" value={measured} unit="mm" onTyped={setMeasured} />
      {sane ? null : (
        <p className="mt-1 text-[14px] text-madder">From 40 to 250 mm; look again at the ruler.</p>
      )}
      <div className="flex justify-end gap-2 pt-3">
        <Button data-lets-go onClick={onClose}>
          Cancel
        </Button>
        <Button look="main" disabled={!sane} onClick={save}>
          Show true size
        </Button>
      </div>
    </Panel>
  );
}
