import { useEffect } from "react";
import { useSearchParams } from "react-router";
import { useStashCloths, useStashThreads } from "../../api/queries";
import { HouseHeader } from "../../frame/HouseHeader";
import { Segments } from "../../parts/fields/Segments";
import { ClothList } from "./ClothList";
import { ThreadList } from "./ThreadList";

/** The cloths and threads that a household owns, for all projects. */
export function StashRoom() {
  const [query, setQuery] = useSearchParams();
  const shown = query.get("of") === "cloths" ? "cloths" : "threads";
  const cloths = useStashCloths("");
  const threads = useStashThreads("");

  useEffect(() => {
    document.title = "Stash · Ullet";
  }, []);

  return (
    <div
      className="flex h-full flex-col"
      data-state={cloths.isPending || threads.isPending ? "busy" : "idle"}
    >
      <HouseHeader />
      <main className="mx-auto flex min-h-0 w-full max-w-[1180px] flex-1 flex-col px-6 py-5 max-md:px-4">
        <div className="mb-3 flex flex-wrap items-end gap-4">
          <h1 className="font-head text-[26px] font-semibold">Stash</h1>
          <Segments
            label="What is shown"
            value={shown}
            options={[
              { value: "threads", label: `Threads ${threads.data?.length ?? ""}` },
              { value: "cloths", label: `Cloths ${cloths.data?.length ?? ""}` },
            ]}
            onChosen={(of) => setQuery({ of }, { replace: true })}
          />
          <p className="mr-auto pb-1 text-[14px] text-muted">
            Projects take copies: what you change here changes none of them.
          </p>
        </div>
        {shown === "threads" ? <ThreadList /> : <ClothList />}
      </main>
    </div>
  );
}
