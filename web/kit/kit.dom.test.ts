import { mount } from "@vue/test-utils";
import { expect } from "chai";
import { demoBrand } from "../../tests/support/demo";
import ColourRow from "./ColourRow.vue";
import KitDefaults from "./KitDefaults.vue";
import KitVoice from "./KitVoice.vue";

describe("the voice of a kit", () => {
  it("takes a line for each call to action, and writes hashtags with one #", async () => {
    const { voice } = demoBrand("quillmere");
    const part = mount(KitVoice, { props: { modelValue: voice } });
    const [calls] = part.findAll("textarea");
    const said = () => part.emitted<[typeof voice]>("update:modelValue")!.at(-1)![0];
    await calls!.setValue("Book a seat\n\n  Come by ");
    expect(said().callsToAction).to.deep.equal(["Book a seat", "Come by"]);
    const inputs = part.findAll("input");
    await inputs[2]!.setValue("boats, ##rest #harbour");
    expect(said().hashtags).to.deep.equal(["#boats", "#rest", "#harbour"]);
  });
});

describe("a colour of a kit", () => {
  const colour = { name: "Tide", hex: "#123A3F", role: "primary" as const };

  it("is read in any notation, and stays as it was while what is typed is none", async () => {
    const part = mount(ColourRow, { props: { modelValue: colour, removable: true } });
    const value = part.get<HTMLInputElement>("input.value");
    await value.setValue("rgb(255 0 0)");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([
      { ...colour, hex: "#FF0000" },
    ]);
    const count = part.emitted("update:modelValue")!.length;
    await value.setValue("#12");
    expect(part.emitted("update:modelValue")).to.have.lengthOf(count);
    expect(part.get("[role=alert]").text()).to.contain("“#12” is not a colour");
    expect(value.attributes("aria-invalid")).to.equal("true");
  });

  it("can be taken out unless it is the last", () => {
    const last = mount(ColourRow, { props: { modelValue: colour, removable: false } });
    expect(last.find("[aria-label='Remove Tide']").exists()).to.equal(false);
  });
});

describe("the defaults of a kit", () => {
  it("ask for the two colours of a duotone only where there is one", async () => {
    const brand = demoBrand("saltlight");
    const plain = { ...brand.defaults, treatment: { kind: "none" as const } };
    const part = mount(KitDefaults, { props: { modelValue: plain, colours: brand.colours } });
    expect(part.text()).not.to.contain("Shadows");
    const treatment = { kind: "duotone" as const, dark: "#000000", light: "#FFFFFF" };
    await part.setProps({ modelValue: { ...plain, treatment } });
    expect(part.text()).to.contain("Shadows").and.to.contain("Lights");
  });
});
