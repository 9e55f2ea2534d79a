import { useRef, useState } from "react";

/** What was chosen is shown at once, and until it is saved or refused; then what holds is shown again. */
export function useWished<T>(value: T, onChosen: (value: T) => unknown): [T, (value: T) => void] {
  const [wished, setWished] = useState<{ value: T } | null>(null);
  const count = useRef(0);
  const choose = (next: T) => {
    const turn = ++count.current;
    const onItsWay = onChosen(next);
    if (!(onItsWay instanceof Promise)) return;
    setWished({ value: next });
    void onItsWay.finally(() => {
      if (turn === count.current) setWished(null);
    });
  };
  return [wished ? wished.value : value, choose];
}
