import { slotName } from "../message";
import type { Finding } from "../preflight";
import { layoutName } from "./layouts";

const roleNames: Record<string, string> = {
  cta: "Call to action",
  "page-mark": "Page mark",
  "swipe-cue": "Swipe cue",
  portrait: "Profile picture and name",
};

/** A role as a person calls it. */
export const roleName = (role = "Something"): string =>
  roleNames[role] ?? role.charAt(0).toUpperCase() + role.slice(1);

const cannotPaint: Record<string, string> = {
  "unknown-icon": "There is no icon of that name.",
  "too-long-for-code": "A code holds at most 2,331 bytes. Use a shorter address.",
};

const number = (value = 0, digits = 0): string => value.toFixed(digits);

/** A slot as it is called within a sentence. */
const inText = (slot: string): string => slotName(slot).toLowerCase();

interface Wording {
  title: string;
  text: string;
}

/** One short sentence for a heading, and one that gives the numbers and what to do. */
const wordings: Record<Finding["code"], (finding: Finding, who: string) => Wording> = {
  "outside-safe-area": ({ measured }, who) => ({
    title: `${who} leaves the safe area`,
    text: `It reaches ${number(measured)} px into the margin, or under what the channel covers.`,
  }),
  "outside-crop": ({ measured }, who) => ({
    title: `${who} is cropped`,
    text: `One of the channel's own crops cuts ${number(measured)} px off it.`,
  }),
  overlap: ({ measured, about }, who) => ({
    title: `${who} touches something else`,
    text: `${number(measured)} % of it lies on “${about}”.`,
  }),
  "across-an-edge": ({ about }, who) => ({
    title: `${who} lies across an edge`,
    text: `A part of it is on “${about}” and a part beside it. Move it wholly onto it, or off it.`,
  }),
  "subject-cut": ({ measured }) => ({
    title: "The subject is cut",
    text: `${number(measured)} % of a face or of what the picture shows is seen here. Move the picture in its frame, say in the message what matters in it, or take a picture of another shape.`,
  }),
  "subject-covered": ({ measured }, who) => ({
    title: `${who} lies on the subject`,
    text: `It covers ${number(measured)} % of a face or of what the picture shows. Move it, or move the picture in its frame.`,
  }),
  "face-under-channel": ({ measured }) => ({
    title: "The channel covers a face",
    text: `Its buttons or bars lie on ${number(measured)} % of a head here. Move the picture in its frame.`,
  }),
  "out-of-order": ({ measured, needed }, who) => ({
    title: `${who} has the wrong weight`,
    text: `It is set at ${number(measured)} px beside ${number(needed)} px, so it is read in the wrong order.`,
  }),
  "nearly-aligned": ({ about, measured }, who) => ({
    title: `${who} is nearly aligned`,
    text: `Its edge is ${number(measured, 1)} px off that of “${about}”. Give both the same edge, or clearly another.`,
  }),
  "logo-small": ({ measured, needed }) => ({
    title: "The logo is too small",
    text: `It is ${number(measured)} px wide on the usual screen; its kit asks for ${number(needed)} px.`,
  }),
  "logo-crowded": ({ about }) => ({
    title: "The logo has too little room",
    text: `“${about}” stands in the clear space that its kit asks for.`,
  }),
  "below-floor": ({ measured, needed }, who) => ({
    title: `${who} is small on a phone`,
    text: `It reads as ${number(measured, 1)} px at the usual width; ${number(needed)} px is the least that is comfortable, or that was asked for.`,
  }),
  "low-contrast": ({ measured, needed }, who) => ({
    title: `${who} is hard to read`,
    text: `Its contrast is ${number(measured, 1)} : 1 and ${number(needed, 1)} : 1 is needed. Another colour spread helps.`,
  }),
  "low-resolution": ({ measured }) => ({
    title: "The picture is too small here",
    text: `It has ${number(measured)} % of the pixels that this size shows, so it looks soft. A larger copy helps.`,
  }),
  "left-out": ({ slot }, who) => ({
    title: slot ? `Without ${inText(slot)}` : `${who} is left out here`,
    text: "There is no room for it at a readable size. Fewer words, or another layout, make room.",
  }),
  "logo-left-out": () => ({
    title: "Without the logo",
    text: "There is no room for the logo or the brand's name at a size that can be read.",
  }),
  "on-no-size": ({ slot }) => ({
    title: `The ${slot ? inText(slot) : "slot"} stands on no size`,
    text: "These words are in the message, but no size has room for them. Shorten the others, take these out, or add a larger size.",
  }),
  "always-left-out": (_finding, who) => ({
    title: `${who} does not fit`,
    text: "It is marked to be kept always, and even the least readable size is too large. Shorten it, or leave this size out.",
  }),
  "no-such-character": ({ about }, who) => ({
    title: `${who} has characters that no typeface has`,
    text: `Neither the brand's typefaces nor the shipped ones have ${about}. Leave it out or write it another way.`,
  }),
  "raw-colour": ({ about, measured, mend }) => ({
    title: "A colour that is not the brand's",
    text: `${about} is written into the design. The nearest of the brand's is ${mend?.name ?? "unknown"}, a difference of ${number(measured, 1)} (ΔE00; from about 2 one sees it).`,
  }),
  "raw-face": ({ about }) => ({
    title: "A typeface that is not the brand's",
    text: `“${about}” is written into the design. Choose one of the brand's typefaces.`,
  }),
  "logo-ground": ({ about }) => ({
    title: "The logo is not made for this ground",
    text: `The kit has no version that may stand on a ${about} ground. Add one to the brand kit, or take another spread.`,
  }),
  "word-to-avoid": ({ about }, who) => ({
    title: `${who} says what the brand avoids`,
    text: `“${about}” is among the words that the brand kit asks to avoid. Say it in another way.`,
  }),
  "cannot-be-painted": ({ about }, who) => ({
    title: `${who} cannot be painted`,
    text: `${cannotPaint[about ?? ""] ?? "It is of a kind that is not painted yet."} The rest of the graphic is complete.`,
  }),
  "file-missing": (_finding, who) => ({
    title: `${who} is missing its file`,
    text: "The file is not in the store. Choose the picture again.",
  }),
  "no-area": (_finding, who) => ({
    title: `${who} has no size`,
    text: "Its box is nothing wide or nothing high, so it is not shown. Give it a size, or take it out.",
  }),
  "layout-gone": ({ layout }) => ({
    title: "The picked layout is not possible any more",
    text: `${layout ? `“${layoutName(layout)}”` : "It"} cannot be had with these words; the best that can is shown. Pick another, or shorten the words.`,
  }),
  apart: () => ({
    title: "It does not stand as its set does",
    text: "Its words have no room there, so this size is laid out by itself. Shorten them, or lay the set out again.",
  }),
  "nothing-fits": () => ({
    title: "Nothing fits this size",
    text: "What the channel covers and the margins leave no room for readable words.",
  }),
};

export const wordingOf = (finding: Finding): Wording =>
  wordings[finding.code](finding, roleName(finding.role));
