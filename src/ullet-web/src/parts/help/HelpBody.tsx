import { useEffect, useState, type ReactNode } from "react";
import { useHelpContents, useHelpPage, useHelpSearch } from "../../api/queries";
import { PlainField } from "../fields/PlainField";

interface Props {
  page: string;
  anchor: string | undefined;
  onGo: (page: string, anchor?: string) => void;
}

/** The help: its pages and a search beside, one page in the middle. */
export function HelpBody({ page, anchor, onGo }: Props) {
  const [search, setSearch] = useState("");
  const contents = useHelpContents().data ?? [];
  const hits = useHelpSearch(search.trim());
  const shown = useHelpPage(page);
  return (
    <div className="flex min-h-0 flex-1 gap-6 max-md:flex-col" data-state={shown.isPending ? "busy" : "idle"}>
      <nav aria-label="Pages of the help" className="flex w-[236px] shrink-0 flex-col gap-3 max-md:w-full">
        <PlainField
          label="Search the help"
          value={search}
          placeholder="satin, zip, peeps out …"
          onChange={setSearch}
        />
        <ul className="min-h-0 flex-1 space-y-0.5 overflow-y-auto pr-1">
          {search.trim()
            ? hits.data?.map((hit) => (
                <Entry
                  key={`${hit.page} ${hit.anchor}`}
                  current={hit.page === page && hit.anchor === anchor}
                  onClick={() => onGo(hit.page, hit.anchor)}
                >
                  <span className="block font-medium">{hit.title}</span>
                  <span className="block text-[13px] leading-4.5 text-muted">{hit.pageTitle}</span>
                </Entry>
              ))
            : contents.map((each) => (
                <Entry key={each.id} current={each.id === page} onClick={() => onGo(each.id)}>
                  {each.title}
                </Entry>
              ))}
          {search.trim() && hits.data?.length === 0 ? (
            <li className="px-2 py-1 text-[14px] text-muted">The help has nothing about that.</li>
          ) : null}
        </ul>
      </nav>
      <article
        className="min-h-0 min-w-0 flex-1 overflow-y-auto pr-3"
        tabIndex={0}
        role="region"
        aria-label={shown.data?.title ?? "Help"}
      >
        {shown.isError ? <p className="text-madder">{shown.error.message}</p> : null}
        {shown.data ? <Page page={shown.data} anchor={anchor} onGo={onGo} /> : null}
      </article>
    </div>
  );
}

interface EntryProps {
  current: boolean;
  onClick: () => void;
  children: ReactNode;
}

function Entry({ current, onClick, children }: EntryProps) {
  return (
    <li>
      <button
        type="button"
        aria-current={current ? "page" : undefined}
        className="w-full rounded-[6px] px-2 py-1 text-left hover:bg-chalk aria-[current=page]:bg-indigo-pale aria-[current=page]:font-semibold"
        onClick={onClick}
      >
        {children}
      </button>
    </li>
  );
}

type Shown = NonNullable<ReturnType<typeof useHelpPage>["data"]>;

function Page({ page, anchor, onGo }: { page: Shown; anchor: string | undefined; onGo: Props["onGo"] }) {
  useEffect(() => {
    document.getElementById(`help-${anchor ?? "top"}`)?.scrollIntoView({ block: "start" });
  }, [page.id, anchor]);
  return (
    <div
      className="help-prose"
      onClick={(event) => {
        // Links of the help name its own pages.
        const link = (event.target as HTMLElement).closest("a");
        if (!link) return;
        event.preventDefault();
        const [to = page.id, place] = (link.getAttribute("href") ?? "").split("#");
        onGo(to || page.id, place);
      }}
    >
      <h2 id="help-top" className="font-head text-[22px] font-semibold">
        {page.title}
      </h2>
      {page.sections.map((section) => (
        <section
          key={section.anchor}
          id={`help-${section.anchor}`}
          className={section.anchor === anchor ? "help-asked" : ""}
        >
          {section.anchor === "top" ? null : <h3>{section.title}</h3>}
          <div dangerouslySetInnerHTML={{ __html: section.html }} />
        </section>
      ))}
    </div>
  );
}
