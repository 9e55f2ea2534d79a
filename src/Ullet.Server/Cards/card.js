// The card: one stop at a time. It goes on working while it is open, also when nothing answers any more.
"use strict";
(() => {
  const stops = [...document.querySelectorAll(".stop")];
  const own = document.body.dataset;
  const name = `ullet-card-${own.project}`;
  const byId = (id) => document.getElementById(id);
  const [jump, go, back, place, said] = ["jump", "go", "back", "place", "said"].map(byId);
  let at = 0;
  let done = new Set();
  let heard = null;

  const kept = () => {
    try {
      return JSON.parse(localStorage.getItem(name)) ?? {};
    } catch {
      return {};
    }
  };
  const keep = () => {
    try {
      localStorage.setItem(name, JSON.stringify({ at: stops[at]?.dataset.key, done: [...done] }));
    } catch {
      // A phone that keeps nothing still shows every stop.
    }
  };
  const show = (next, isOwn = true) => {
    at = Math.max(0, Math.min(stops.length - 1, next));
    stops.forEach((stop, i) => stop.classList.toggle("on", i === at));
    jump.value = String(at);
    back.disabled = at === 0;
    const last = at === stops.length - 1;
    go.textContent = last ? "✓ All done" : stops[at]?.dataset.hands ? "✓ Done, go on" : "✓ It has stopped, go on";
    place.textContent = `${at + 1} of ${stops.length}`;
    [...jump.options].forEach((option, i) => {
      const mark = done.has(stops[i].dataset.key) ? "✓ " : "";
      option.textContent = mark + option.dataset.text;
    });
    document.querySelector("main").scrollTop = 0;
    if (isOwn) keep();
  };
  const tone = () => {
    if (!heard) return;
    const [hum, loud] = [heard.createOscillator(), heard.createGain()];
    hum.frequency.value = stops[at]?.dataset.hands ? 660 : 440;
    loud.gain.setValueAtTime(0.2, heard.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.001, heard.currentTime + 0.35);
    hum.connect(loud).connect(heard.destination);
    hum.start();
    hum.stop(heard.currentTime + 0.4);
  };
  const onward = () => {
    if (!stops.length) return;
    done.add(stops[at].dataset.key);
    show(at + 1);
    tone();
  };

  go.addEventListener("click", onward);
  back.addEventListener("click", () => show(at - 1));
  jump.addEventListener("change", () => show(Number(jump.value)));
  document.addEventListener("keydown", (event) => {
    if (event.target.closest("select, summary, a") || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === "ArrowRight") onward();
    else if (event.key === "ArrowLeft") show(at - 1);
    else if (event.key === "j") jump.focus();
    else return;
    event.preventDefault();
  });

  // A muted film that loops keeps a phone awake, where it is wished.
  const film = byId("awake-film");
  const toggle = (button, isOn) => button.setAttribute("aria-pressed", String(isOn));
  byId("awake").addEventListener("click", async (event) => {
    const button = event.currentTarget;
    if (!film.paused) {
      film.pause();
      toggle(button, false);
      return;
    }
    try {
      await film.play();
      toggle(button, true);
    } catch {
      tell("This phone does not let the card keep its screen awake.");
    }
  });
  byId("sound").addEventListener("click", (event) => {
    heard = heard ? void heard.close() ?? null : new AudioContext();
    toggle(event.currentTarget, heard !== null);
    tone();
  });

  const tell = (text, action) => {
    said.hidden = false;
    said.replaceChildren(text);
    if (action) said.append(action);
  };
  const look = async () => {
    try {
      const answer = await fetch(own.state, { cache: "no-store" });
      if (!answer.ok) throw new Error(String(answer.status));
      const code = (await answer.text()).trim();
      if (code === own.code) {
        said.hidden = true;
        return;
      }
      const again = document.createElement("button");
      again.textContent = "Load the new state";
      again.addEventListener("click", () => location.reload());
      tell(`The project was changed: it is state ${code} now, this card shows ${own.code}. Your place is kept.`, again);
    } catch {
      tell("Ullet does not answer; the card goes on by itself.");
    }
  };

  const before = kept();
  done = new Set(before.done ?? []);
  const known = stops.findIndex((stop) => stop.dataset.key === before.at);
  show(known < 0 ? 0 : known, known >= 0);
  if (before.at && known < 0 && stops.length) tell("The step where you were is no longer there; choose your place below.");
  setInterval(look, 15000);
  window.addEventListener("online", look);
  document.addEventListener("visibilitychange", () => document.hidden || look());
})();
