import { useParams } from "react-router";
import { useScene } from "../api/queries";
import { useAsks } from "../verbs/asks";
import { HelpPanel } from "./HelpPanel";
import { KeysPanel } from "./KeysPanel";
import { SearchPanel } from "./SearchPanel";
import { useFindingKeys } from "./useFinding";

/** What finds one's way: search box, help and keys, over every room of a project. */
export function ProjectFindingOut() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  return <FindingOut projectId={id} scene={scene} />;
}

/** The same on the shelf, where no project is open. */
export function HouseFindingOut() {
  return <FindingOut projectId={null} scene={undefined} />;
}

type Props = Parameters<typeof SearchPanel>[0];

function FindingOut(props: Props) {
  useFindingKeys();
  const help = useAsks((asks) => asks.help);
  return (
    <>
      <SearchPanel {...props} />
      <KeysPanel />
      {help ? <HelpPanel place={help} /> : null}
    </>
  );
}
