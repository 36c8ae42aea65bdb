import type { Finding } from "./finding";

const roleNames: Record<string, string> = {
  cta: "Call to action",
  "page-mark": "Page mark",
  "swipe-cue": "Swipe cue",
};

/** A role as a person calls it. */
export const roleName = (role = "Something"): string =>
  roleNames[role] ?? role.charAt(0).toUpperCase() + role.slice(1);

const number = (value = 0, digits = 0): string => value.toFixed(digits);

/** One short sentence for a heading, and one that gives the numbers and what to do. */
export function wordingOf(finding: Finding): { title: string; text: string } {
  const who = roleName(finding.role);
  const { measured, needed } = finding;
  switch (finding.code) {
    case "outside-safe-area":
      return {
        title: `${who} leaves the safe area`,
        text: `It reaches ${number(measured)} px into the margin, or under what the channel covers.`,
      };
    case "outside-crop":
      return {
        title: `${who} is cropped`,
        text: `One of the channel's own crops cuts ${number(measured)} px off it.`,
      };
    case "overlap":
      return {
        title: `${who} touches something else`,
        text: `${number(measured)} % of it lies on “${finding.about}”.`,
      };
    case "below-floor":
      return {
        title: `${who} is small on a phone`,
        text: `It reads as ${number(measured, 1)} px at the usual width; ${number(needed)} px is the least that is comfortable.`,
      };
    case "low-contrast":
      return {
        title: `${who} is hard to read`,
        text: `Its contrast is ${number(measured, 1)} : 1 and ${number(needed, 1)} : 1 is needed. Another colour spread helps.`,
      };
    case "low-resolution":
      return {
        title: "The picture is too small here",
        text: `It has ${number(measured)} % of the pixels that this size shows, so it looks soft. A larger copy helps.`,
      };
    case "left-out":
      return {
        title: `${who} is left out here`,
        text: "There is no room for it at a readable size.",
      };
    case "always-left-out":
      return {
        title: `${who} does not fit`,
        text: "It is marked to be kept always, and even the least readable size is too large. Shorten it, or leave this size out.",
      };
    case "no-such-character":
      return {
        title: `${who} has characters that the typeface lacks`,
        text: `Not in the typeface: ${finding.about}`,
      };
    case "raw-colour":
      return {
        title: "A colour that is not the brand's",
        text: `${finding.about} is written into the design. Choose one of the brand's colours.`,
      };
    case "file-missing":
      return {
        title: `${who} is missing its file`,
        text: "The file is not in the store. Choose the picture again.",
      };
    case "nothing-fits":
      return {
        title: "Nothing fits this size",
        text: "What the channel covers and the margins leave no room for readable words.",
      };
  }
}
