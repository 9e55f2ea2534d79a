import type { Schemas } from "./client";

export type Element = Schemas["ElementDto"];

/** Where an outline comes from. */
export type Form = Schemas["FormDto"];
export type FormKind = Form["kind"];

/** What is made of a form. */
export type Making = Schemas["MakingDto"];
export type MakingKind = Making["kind"];

/** An element of one kind of form. */
export type Formed<K extends FormKind> = Element & { form: Extract<Form, { kind: K }> };

/** An element of one kind of making. */
export type Made<K extends MakingKind> = Element & { making: Extract<Making, { kind: K }> };

export const isFormed = <K extends FormKind>(element: Element, kind: K): element is Formed<K> =>
  element.form.kind === kind;

export const isMade = <K extends MakingKind>(element: Element, kind: K): element is Made<K> =>
  element.making.kind === kind;

/** The stages that cloth has. */
export type StageRole = keyof Schemas["StagesDto"];

/** True for a stage that has settings of its own on a piece of cloth. */
export const isStageOf = (stages: Schemas["StagesDto"], role: string): role is StageRole => role in stages;
