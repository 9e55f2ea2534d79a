import { useEffect } from "react";
import { useLocation, useNavigate, useParams } from "react-router";
import { HouseHeader } from "../../frame/HouseHeader";
import { HelpBody } from "../../parts/help/HelpBody";

/** The help as a room of its own: a page has an address. */
export function HelpRoom() {
  const { page = "start" } = useParams();
  const { hash } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    document.title = "Help · Ullet";
  }, []);
  return (
    <div className="flex h-full flex-col">
      <HouseHeader />
      <main className="mx-auto flex min-h-0 w-full max-w-[1180px] flex-1 flex-col px-6 py-5 max-md:px-4">
        <h1 className="mb-3 font-head text-[26px] font-semibold">Help</h1>
        <div className="flex min-h-0 flex-1 rounded-card border border-line bg-white p-5">
          <HelpBody
            page={page}
            anchor={hash.slice(1) || undefined}
            onGo={(to, place) => void navigate(`/help/${to}${place ? `#${place}` : ""}`)}
          />
        </div>
      </main>
    </div>
  );
}
