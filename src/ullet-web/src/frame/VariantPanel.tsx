import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { answered, api, Refused, type Unit } from "../api/client";
import { keys } from "../api/queries";
import { FormPanel } from "../parts/FormPanel";
import { LengthField } from "../parts/fields/LengthField";
import { NumberField } from "../parts/fields/NumberField";
import { PlainField } from "../parts/fields/PlainField";
import { withUnit } from "../state/lengths";
import { say } from "../state/messages";
import { useWhenAsked } from "../verbs/asks";

interface Props {
  projectId: string;
  unit: Unit;
  onClose: () => void;
}

/** Opens the panel when a variant is asked for from anywhere in the project. */
export function AskedVariant({ projectId, unit }: { projectId: string; unit: Unit }) {
  const [open, setOpen] = useState(false);
  useWhenAsked("variant", () => setOpen(true));
  return open ? <VariantPanel projectId={projectId} unit={unit} onClose={() => setOpen(false)} /> : null;
}

/** Makes the same thing in another size, in one set with it. */
export function VariantPanel({ projectId, unit, onClose }: Props) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [width, setWidth] = useState<number | null>(null);
  const [numbers, setNumbers] = useState<Record<string, number>>({});
  const [title, setTitle] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const path = { params: { path: { id: projectId } } };
  const start = useQuery({
    queryKey: [...keys.shelf, "variants", projectId],
    queryFn: () => answered(api.GET("/api/projects/{id}/variants", path)),
    staleTime: 0,
  });
  const own = start.data;
  const isPattern = (own?.numbers.length ?? 0) > 0;

  const make = async () => {
    try {
      const made = await answered(
        api.POST("/api/projects/{id}/variants", {
          ...path,
          body: {
            title: title.trim() || undefined,
            width: isPattern ? undefined : (width ?? own?.width),
            numbers: Object.entries(numbers).map(([id, value]) => ({ id, value })),
          },
        }),
      );
      await queries.invalidateQueries({ queryKey: keys.shelf });
      onClose();
      say("The variant is made. It stands in one set with the other sizes.");
      void navigate(`/p/${made.id}/wall`);
    } catch (failed) {
      setWrong(failed instanceof Refused ? failed.message : "That could not be done.");
    }
  };

  const isSame = isPattern ? Object.keys(numbers).length === 0 : width === null || width === own?.width;
  return (
    <FormPanel
      title="A variant in another size"
      action="Make the variant"
      disabled={!own || isSame}
      hint={isSame ? "Type another size first." : undefined}
      onSent={make}
      onClose={onClose}
    >
      <p className="text-[14px] text-muted">
        {isPattern
          ? "The pattern is made anew in the size you type; seams, allowances and what you added stay."
          : "Shapes grow or shrink together; widths and spacings of stitches stay as they are set. The smallest hoop that takes it is chosen."}
      </p>
      {start.isError ? <p className="text-madder">{start.error.message}</p> : null}
      {own && !isPattern ? (
        <div className="grid grid-cols-2 items-end gap-3">
          <LengthField
            label="Width of all outlines"
            value={width ?? own.width}
            unit={unit}
            onTyped={setWidth}
          />
          <p className="pb-1.5 text-[14px] text-muted">
            now {withUnit(own.width, unit)} × {withUnit(own.height, unit)}, covers not counted
          </p>
        </div>
      ) : null}
      {own && isPattern ? (
        <div className="grid grid-cols-2 gap-3">
          {own.numbers.map((field) => {
            const value = numbers[field.id] ?? field.value;
            const take = (typed: number) => setNumbers((now) => ({ ...now, [field.id]: typed }));
            return field.isCount ? (
              <NumberField key={field.id} label={field.label} value={value} digits={0} onTyped={take} />
            ) : (
              <LengthField key={field.id} label={field.label} value={value} unit={unit} onTyped={take} />
            );
          })}
        </div>
      ) : null}
      <PlainField
        label="Name"
        value={title}
        placeholder={own ? `${own.title} with its size` : ""}
        onChange={setTitle}
      />
      {own?.siblings.length ? (
        <p className="text-[14px]">
          Other sizes:{" "}
          {own.siblings.map((sibling, i) => (
            <span key={sibling.id}>
              {i > 0 ? ", " : ""}
              <Link className="text-indigo underline" to={`/p/${sibling.id}/wall`} onClick={onClose}>
                {sibling.title}
              </Link>
            </span>
          ))}
        </p>
      ) : null}
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
