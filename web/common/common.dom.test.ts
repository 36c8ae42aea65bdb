import { mount } from "@vue/test-utils";
import { expect } from "chai";
import { createPinia, setActivePinia } from "pinia";
import { nextTick } from "vue";
import { createMemoryHistory, createRouter } from "vue-router";
import DialogCard from "./DialogCard.vue";
import PlacesNav from "./PlacesNav.vue";
import ToastList from "./ToastList.vue";
import { useToasts } from "./toasts";

const NAMES = ["crates", "brands", "brand", "templates", "pictures", "placements", "storage"];
const routerAt = async (name: string) => {
  const routes = NAMES.map((one) => ({
    path: `/${one}`,
    name: one,
    component: { render: () => null },
  }));
  const router = createRouter({ history: createMemoryHistory(), routes });
  await router.push({ name });
  return router;
};

describe("the places in the bar", () => {
  it("mark where one is, also on a page within a place", async () => {
    for (const [name, title] of [
      ["pictures", "Pictures"],
      ["brand", "Brand kits"],
    ] as const) {
      const part = mount(PlacesNav, { global: { plugins: [await routerAt(name)] } });
      expect(part.findAll("[aria-current=page]").map((link) => link.text())).to.deep.equal([title]);
    }
  });
});

describe("messages in the corner", () => {
  it("are alerts that can be closed, and go when another page is opened", async () => {
    const pinia = createPinia();
    setActivePinia(pinia);
    const router = await routerAt("crates");
    const part = mount(ToastList, { global: { plugins: [pinia, router] } });
    const toasts = useToasts();
    toasts.fail(new Error("The disk is full."));
    await nextTick();
    expect(part.get("[role=alert]").text()).to.contain("The disk is full.");
    toasts.toasts[0]!.since -= 5000;
    await router.push({ name: "storage" });
    await nextTick();
    expect(toasts.toasts).to.deep.equal([]);
  });
});

describe("a dialog", () => {
  it("is a div, in which alone the package keeps the focus, with its name", async () => {
    const part = mount(DialogCard, {
      props: { shown: true, title: "New crate", width: 400 },
      slots: { default: "<input />" },
      attachTo: document.body,
    });
    await nextTick();
    const dialog = document.querySelector("[role=dialog]")!;
    expect(dialog.tagName).to.equal("DIV");
    expect(dialog.getAttribute("aria-label")).to.equal("New crate");
    part.unmount();
  });
});
