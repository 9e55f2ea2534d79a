import { useCallback, type KeyboardEvent } from "react";
import { useEdits } from "../../../../api/edits";
import { useView } from "../../../../state/view";
import type { WordsProps } from "../../card/elementProps";

/** What words say that nobody has typed yet; they are selected, to be typed over. */
const UNTYPED = "New words";

/** From words to words by keys: Tab goes to the next ones as they are read, Alt+Enter sets more like these. Past the last ones, and
 * before the first, Tab goes on through the card as everywhere. */
export function useNextWords(projectId: string, scene: WordsProps["scene"], element: WordsProps["element"]) {
  const edits = useEdits(projectId);
  const { select, typesWords, typeWords } = useView();
  const begun = useCallback(() => typeWords(false), [typeWords]);

  const go = (by: 1 | -1): boolean => {
    const next = scene.reading[scene.reading.indexOf(element.id) + by];
    if (next === undefined) return false;
    select([next]);
    typeWords(true);
    return true;
  };

  const more = async () => {
    const { fontId, capHeight } = element.form;
    const ok = await edits.add({
      edit: "addWords",
      text: UNTYPED,
      fontId,
      capHeight: capHeight || null,
      rotation: element.box.rotation,
    });
    if (ok) typeWords(true);
  };

  const onKey = (event: KeyboardEvent): boolean => {
    if (event.key === "Tab" && !event.ctrlKey && !event.altKey) return go(event.shiftKey ? -1 : 1);
    if (event.key === "Enter" && event.altKey) {
      void more();
      return true;
    }
    return false;
  };

  return { onKey, typesWords, begun };
}
