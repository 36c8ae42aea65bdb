import { mount } from "@vue/test-utils";
import { expect } from "chai";
import SortedLines from "./SortedLines.vue";

describe("lines that were sorted into slots", () => {
  const lines = [
    { text: "A winter of small boats", slot: "headline" },
    { text: "€ 6", slot: "price" },
  ];
  const transfer = (at: number) => ({
    dataTransfer: { getData: () => String(at), setData: () => undefined },
  });

  it("are moved to another slot one by one", () => {
    const part = mount(SortedLines, { props: { modelValue: lines } });
    const [, price] = part.findAllComponents({ name: "SelectField" });
    price!.vm.$emit("update:modelValue", "figure");
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([
      [lines[0], { text: "€ 6", slot: "figure" }],
    ]);
  });

  it("change places when one is dropped on another, and only then", async () => {
    const part = mount(SortedLines, { props: { modelValue: lines } });
    const [first, second] = part.findAll("li");
    await second!.trigger("drop", transfer(0));
    expect(part.emitted("update:modelValue")!.at(-1)).to.deep.equal([
      [
        { text: "A winter of small boats", slot: "price" },
        { text: "€ 6", slot: "headline" },
      ],
    ]);
    await first!.trigger("drop", transfer(0));
    await first!.trigger("drop", transfer(7));
    expect(part.emitted("update:modelValue")).to.have.lengthOf(1);
  });
});
