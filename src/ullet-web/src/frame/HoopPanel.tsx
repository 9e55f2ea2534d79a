import { useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { answered, api, Refused, type Scene } from "../api/client";
import { useEdits } from "../api/edits";
import { PlainField } from "../parts/fields/PlainField";
import { LengthField } from "../parts/fields/LengthField";
import { Tick } from "../parts/fields/Tick";
import { FormPanel } from "../parts/FormPanel";
import { IconButton } from "../parts/IconButton";
import { shown, sizeText, withUnit } from "../state/lengths";
import { hooped, HOOPS_KEY, useOwnHoops } from "./hoops";

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

/** A hoop that is typed: its field, where its middle is, what is kept free; kept for all projects where that is wished. */
export function HoopPanel({ projectId, scene, onClose }: Props) {
  const edits = useEdits(projectId);
  const queries = useQueryClient();
  const own = useOwnHoops();
  const { hoop: now } = scene.hooping;
  const [hoop, setHoop] = useState({
    fieldWidth: now.fieldWidth,
    fieldHeight: now.fieldHeight,
    middleX: now.middleX ?? 0,
    middleY: now.middleY ?? 0,
    marginAcross: now.marginAcross ?? 0,
    marginDown: now.marginDown ?? 0,
  });
  const [name, setName] = useState("");
  const [keep, setKeep] = useState(true);
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (part: Partial<typeof hoop>) => setHoop((before) => ({ ...before, ...part }));
  const called = name.trim() || `${hoop.fieldWidth} × ${hoop.fieldHeight}`;

  const use = async () => {
    const typed = { ...hoop, name: called };
    try {
      if (keep) {
        const known = own.find((each) => each.hoop.name === called);
        await answered(api.POST("/api/hoops", { body: { id: known?.id ?? null, ...typed } }));
        await queries.invalidateQueries({ queryKey: HOOPS_KEY });
      }
      if (await edits.edit(hooped(typed))) onClose();
    } catch (refused) {
      setWrong(refused instanceof Refused ? refused.message : "That could not be kept.");
    }
  };
  const forget = async (id: string) => {
    await answered(api.DELETE("/api/hoops/{id}", { params: { path: { id } } })).catch(() => null);
    await queries.invalidateQueries({ queryKey: HOOPS_KEY });
  };
  const length = (label: string, field: keyof typeof hoop) => (
    <LengthField
      label={label}
      value={hoop[field]}
      unit={scene.unit}
      onTyped={(mm) => set({ [field]: Math.round(mm * 100) / 100 })}
    />
  );

  return (
    <FormPanel
      title="Another hoop"
      action="Use this hoop"
      hint={`The sewing field, not the frame: ${shown(30, scene.unit)} to ${withUnit(1000, scene.unit)}.`}
      onSent={use}
      onClose={onClose}
    >
      <div className="grid grid-cols-2 gap-2">
        {length("Field, width", "fieldWidth")}
        {length("Field, height", "fieldHeight")}
        {length("Middle, right of the field’s centre", "middleX")}
        {length("Middle, below the field’s centre", "middleY")}
        {length("Kept free left and right", "marginAcross")}
        {length("Kept free above and below", "marginDown")}
      </div>
      <PlainField label="Name" value={name} placeholder={called} onChange={setName} />
      <Tick label="Keep it for all projects" checked={keep} onChanged={setKeep} />
      {own.length > 0 ? (
        <ul aria-label="Hoops of your own" className="divide-y divide-line rounded-card border border-line">
          {own.map((each) => (
            <li key={each.id} className="flex items-center gap-2 px-3 py-1">
              <span className="truncate">{each.hoop.name}</span>
              <span className="ml-auto text-[13px] whitespace-nowrap text-muted">
                {sizeText(each.hoop.fieldWidth, each.hoop.fieldHeight, scene.unit)}
              </span>
              <IconButton label={`Remove ${each.hoop.name}`} onClick={() => void forget(each.id)}>
                <Trash2 size={15} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
      ) : null}
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
