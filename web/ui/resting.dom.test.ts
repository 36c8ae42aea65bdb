import { mount } from "@vue/test-utils";
import { expect } from "chai";
import { nextTick } from "vue";
import RestingImage from "./RestingImage.vue";

describe("a picture of a long list", () => {
  const rest = (): Promise<void> => new Promise((done) => setTimeout(done, 120));

  it("is asked for when it stands still, and not while it passes by", async () => {
    const first = mount(RestingImage, { props: { src: "/a.png" } });
    expect(first.get("img").attributes("src")).to.equal("/a.png");
    document.dispatchEvent(new Event("scroll"));
    await nextTick();
    // What is there stays.
    expect(first.get("img").attributes("src")).to.equal("/a.png");
    const passing = mount(RestingImage, { props: { src: "/b.png" } });
    expect(passing.get("img").attributes("src")).to.equal(undefined);
    await rest();
    expect(passing.get("img").attributes("src")).to.equal("/b.png");
    first.unmount();
    passing.unmount();
  });
});
