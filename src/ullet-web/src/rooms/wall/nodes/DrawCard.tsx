import { Button } from "../../../parts/Button";
import { useView } from "../../../state/view";

/** What the drawing tools do, while one of them is taken. */
export function DrawCard() {
  const { tool, setTool } = useView();
  return (
    <div className="space-y-3 px-4 py-3">
      <h2 className="font-head text-[17px] font-semibold">
        {tool === "pen" ? "Draw with the pen" : "Draw by hand"}
      </h2>
      {tool === "pen" ? (
        <ul className="list-disc space-y-1 pl-5">
          <li>Click for a corner; press and pull for a curve.</li>
          <li>Click the first node again to close the line: it becomes a piece of cloth.</li>
          <li>Enter, or a double click, ends an open line: it is sewn as a line.</li>
          <li>Backspace takes the last node back, Escape gives up.</li>
        </ul>
      ) : (
        <ul className="list-disc space-y-1 pl-5">
          <li>Press and draw in one go; the line is smoothed to few nodes.</li>
          <li>End where you began to make a piece of cloth, elsewhere for a line.</li>
          <li>Escape gives up.</li>
        </ul>
      )}
      <Button onClick={() => setTool("select")}>Put it down</Button>
    </div>
  );
}
