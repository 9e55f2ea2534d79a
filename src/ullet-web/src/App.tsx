import { Navigate, Route, Routes } from "react-router";
import { ProjectFrame } from "./frame/ProjectFrame";
import { MessageBar } from "./parts/MessageBar";
import { WorkBar } from "./parts/WorkBar";
import { CutterRoom } from "./rooms/cutter/CutterRoom";
import { CuttingTable } from "./rooms/cutting/CuttingTable";
import { PacketRoom } from "./rooms/packet/PacketRoom";
import { RehearsalRoom } from "./rooms/rehearsal/RehearsalRoom";
import { RunSheetRoom } from "./rooms/runsheet/RunSheetRoom";
import { Shelf } from "./rooms/shelf/Shelf";
import { WallRoom } from "./rooms/wall/WallRoom";

/** The application: the shelf, and the rooms of one project. */
export function App() {
  return (
    <>
      <Routes>
        <Route path="/" element={<Shelf />} />
        <Route path="/p/:id" element={<ProjectFrame />}>
          <Route index element={<Navigate to="wall" replace />} />
          <Route path="wall" element={<WallRoom />} />
          <Route path="run-sheet" element={<RunSheetRoom />} />
          <Route path="cutting" element={<CuttingTable />} />
          <Route path="cutting/dry-run" element={<CutterRoom />} />
          <Route path="rehearsal" element={<RehearsalRoom />} />
          <Route path="packet" element={<PacketRoom />} />
        </Route>
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
      <WorkBar />
      <MessageBar />
    </>
  );
}
