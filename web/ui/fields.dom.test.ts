import { mount } from "@vue/test-utils";
import { expect } from "chai";
import { nextTick } from "vue";
import FileButton from "./FileButton.vue";
import NameField from "./NameField.vue";
import NumberField from "./NumberField.vue";
import SelectField from "./SelectField.vue";
import SliderField from "./SliderField.vue";
import TextField from "./TextField.vue";

describe("a choice of one of a list", () => {
  const options = [
    { value: "a", label: "First" },
    { value: "b", label: "Second" },
  ];

  it("has the name, role and state that a screen reader tells", async () => {
    const part = mount(SelectField, {
      props: { label: "Order", options, modelValue: "b" } as never,
      attachTo: document.body,
    });
    await nextTick();
    const box = part.get("[role=combobox]");
    expect(box.attributes()).to.include({ "aria-label": "Order", "aria-expanded": "false" });
    expect(box.text()).to.equal("Second");
    await part.setProps({ label: "Other order" } as never);
    await nextTick();
    expect(part.get("[role=combobox]").attributes("aria-label")).to.equal("Other order");
    await part.setProps({ show: true } as never);
    await nextTick();
    expect(part.get("[role=combobox]").attributes("aria-expanded")).to.equal("true");
    part.unmount();
  });
});

describe("a field", () => {
  it("of text gives on what is typed, names itself, and says that it is wrong", async () => {
    const part = mount(TextField, { props: { label: "Name", modelValue: "Old", invalid: true } });
    const input = part.get("input");
    expect(input.attributes()).to.include({ "aria-label": "Name", "aria-invalid": "true" });
    await input.setValue("New");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal(["New"]);
    expect(part.emitted("change")!.at(-1)).to.deep.equal(["New"]);
    const lines = mount(TextField, { props: { rows: 4, modelValue: "a\nb" } });
    expect(lines.get("textarea").element.value).to.equal("a\nb");
  });

  it("with a name keeps what is typed when all is drawn anew, and puts an empty one back", async () => {
    const part = mount(NameField, { props: { name: "Boats", label: "Name", maxlength: 20 } });
    const input = part.get("input");
    input.element.value = "Boats at rest";
    await input.trigger("input");
    await part.setProps({ label: "Name of the crate" });
    expect(input.element.value).to.equal("Boats at rest");
    await input.trigger("change");
    expect(part.emitted("rename")).to.deep.equal([["Boats at rest"]]);
    await part.setProps({ name: "Boats at rest" });
    await input.setValue(" ");
    await input.trigger("change");
    expect(input.element.value).to.equal("Boats at rest");
    expect(part.emitted("rename")).to.have.lengthOf(1);
  });

  it("of a number is empty without one, and gives undefined when it is emptied", async () => {
    const part = mount(NumberField, { props: { label: "Width, px", modelValue: 12 } });
    const input = part.get("input");
    expect(input.element.value).to.equal("12");
    await input.setValue("40");
    expect(part.emitted("update:modelValue")?.at(-1)).to.deep.equal([40]);
    await input.setValue("");
    await input.trigger("blur");
    expect(part.emitted("update:modelValue")?.at(-1)).to.deep.equal([undefined]);
  });

  it("with a scale has a handle with a name and its value", async () => {
    const part = mount(SliderField, {
      props: { label: "Zoom", min: 1, max: 2, step: 0.5, modelValue: 1.5 },
    });
    await nextTick();
    expect(part.get("[role=slider]").attributes()).to.include({
      "aria-label": "Zoom",
      "aria-valuenow": "1.5",
      "aria-valuemin": "1",
      "aria-valuemax": "2",
    });
  });
});

describe("a button that opens files", () => {
  it("names its input, and gives all files of one choice at once", async () => {
    const part = mount(FileButton, {
      props: { label: "Add pictures", accept: "image/*", multiple: true },
    });
    const input = part.get<HTMLInputElement>("input[type=file]");
    expect(input.attributes()).to.include({ "aria-label": "Add pictures", accept: "image/*" });
    const files = [new File(["a"], "a.png"), new File(["b"], "b.png")];
    Object.defineProperty(input.element, "files", { value: files });
    await input.trigger("change");
    const [[given]] = part.emitted("open") as [[File[]]];
    expect(given.map(({ name }) => name)).to.deep.equal(["a.png", "b.png"]);
    await part.setProps({ folder: true });
    expect(input.attributes()).to.have.property("webkitdirectory");
  });
});
