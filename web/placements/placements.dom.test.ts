import { mount } from "@vue/test-utils";
import { expect } from "chai";
import { placementById } from "../../core/placements";
import AreaList from "../workbench/message/AreaList.vue";
import PlacementForm from "./PlacementForm.vue";

describe("the facts of a placement", () => {
  it("say at once when margin and covered areas leave no room for words", async () => {
    const { id: _id, ...facts } = placementById("story");
    const part = mount(PlacementForm, {
      attachTo: document.body,
      props: { modelValue: facts, channels: ["stories"], errors: {} },
    });
    expect(part.text()).not.to.contain("no room for words");
    await part.setProps({ modelValue: { ...facts, margin: 700 } });
    expect(part.text()).to.contain("no room for words");
    await part.setProps({ errors: { width: "A side has at least 1 px." } });
    const field = part.findAll("input").find((one) => one.attributes("aria-invalid"))!;
    const reason = document.getElementById(field.attributes("aria-describedby")!);
    expect(reason?.textContent).to.equal("A side has at least 1 px.");
  });
});

describe("areas that a channel covers", () => {
  const frame = { width: 1000, height: 800 };
  const area = { x: 0, y: 0, width: 1000, height: 100, by: "bar" };
  const list = (modelValue: object[]) =>
    mount(AreaList, {
      props: {
        modelValue,
        // Whoever holds the list decides what becomes of it.
        "onUpdate:modelValue": () => undefined,
        title: "Covered",
        frame,
        fresh: { by: "controls" },
        label: "by",
      },
    } as never);

  it("are added over the frame's width, named, and taken out", async () => {
    const part = list([area]);
    const [add, remove] = part.findAll("button");
    await add!.trigger("click");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([
      [area, { x: 0, y: 0, width: 1000, height: 100, by: "controls" }],
    ]);
    await part.get("input").setValue("buttons");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([[{ ...area, by: "buttons" }]]);
    await remove!.trigger("click");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([[]]);
  });
});
