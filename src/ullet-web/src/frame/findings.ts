import type { Finding } from "../api/client";

/** Findings of one check, as one line of the list. */
export interface FindingGroup {
  code: string;
  findings: Finding[];
}

/** Findings by their checks, in the order in which they come: the worst first. */
export function grouped(findings: Finding[]): FindingGroup[] {
  const groups = new Map<string, FindingGroup>();
  for (const finding of findings) {
    const key = `${finding.level} ${finding.code}`;
    const group = groups.get(key);
    if (group) group.findings.push(finding);
    else groups.set(key, { code: finding.code, findings: [finding] });
  }
  return [...groups.values()];
}
