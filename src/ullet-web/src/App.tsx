import { Navigate, Route, Routes } from "react-router";
import { WideRoom } from "./frame/WideRoom";
import { ProjectFrame } from "./frame/ProjectFrame";
import { MessageBar } from "./parts/MessageBar";
import { WorkBar } from "./parts/WorkBar";
import { CutterRoom } from "./rooms/cutter/CutterRoom";
import { CuttingTable } from "./rooms/cutting/CuttingTable";
import { OrdersRoom } from "./rooms/orders/OrdersRoom";
import { PacketRoom } from "./rooms/packet/PacketRoom";
import { RehearsalRoom } from "./rooms/rehearsal/RehearsalRoom";
import { RunSheetRoom } from "./rooms/runsheet/RunSheetRoom";
import { HelpRoom } from "./rooms/help/HelpRoom";
import { Shelf } from "./rooms/shelf/Shelf";
import { StashRoom } from "./rooms/stash/StashRoom";
import { WallRoom } from "./rooms/wall/WallRoom";

/** The application: the shelf, and the rooms of one project. */
export function App() {
  return (
    <>
      <Routes>
        <Route path="/" element={<Shelf />} />
        <Route path="/stash" element={<StashRoom />} />
        <Route path="/help/:page?" element={<HelpRoom />} />
        <Route path="/p/:id" element={<ProjectFrame />}>
          <Route index element={<Navigate to="wall" replace />} />
          <Route
            path="wall"
            element={
              <WideRoom name="The wall">
                <WallRoom />
              </WideRoom>
            }
          />
          <Route
            path="run-sheet"
            element={
              <WideRoom name="The run sheet">
                <RunSheetRoom />
              </WideRoom>
            }
          />
          <Route
            path="cutting"
            element={
              <WideRoom name="The cutting table">
                <CuttingTable />
              </WideRoom>
            }
          />
          <Route
            path="cutting/dry-run"
            element={
              <WideRoom name="The dry run">
                <CutterRoom />
              </WideRoom>
            }
          />
          <Route path="rehearsal" element={<RehearsalRoom />} />
          <Route path="orders" element={<OrdersRoom />} />
          <Route path="packet" element={<PacketRoom />} />
        </Route>
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
      <WorkBar />
      <MessageBar />
    </>
  );
}
