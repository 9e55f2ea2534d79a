import { HelpBody } from "../parts/help/HelpBody";
import { Panel } from "../parts/Panel";
import { openHelp, useAsks, type HelpPlace } from "../verbs/asks";

/** The help over the room: what one was doing stays as it is. */
export function HelpPanel({ place }: { place: HelpPlace }) {
  return (
    <Panel title="Help" size="large" onClose={() => useAsks.getState().openHelp(null)}>
      <HelpBody page={place.page} anchor={place.anchor} onGo={openHelp} />
    </Panel>
  );
}
