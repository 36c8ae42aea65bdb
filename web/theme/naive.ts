import { usePreferredDark } from "@vueuse/core";
import { darkTheme, type GlobalThemeOverrides } from "naive-ui";
import { computed } from "vue";

/** The same roles as in tokens.css; Naive UI computes shades from them, so it needs the values themselves. */
const light = {
  leaf: "#2c6a4b",
  ink: "#1f2d2a",
  line: "#b9ae9b",
  card: "#ffffff",
  berry: "#b2273d",
};
const dark = {
  leaf: "#7cc79f",
  ink: "#f1ece1",
  line: "#5d6a65",
  card: "#1f2725",
  berry: "#f28495",
};

export function useNaiveTheme() {
  const isDark = usePreferredDark();
  const theme = computed(() => (isDark.value ? darkTheme : null));
  const overrides = computed<GlobalThemeOverrides>(() => {
    const { leaf, ink, line, card, berry } = isDark.value ? dark : light;
    return {
      common: {
        primaryColor: leaf,
        primaryColorHover: leaf,
        primaryColorPressed: leaf,
        primaryColorSuppl: leaf,
        errorColor: berry,
        textColorBase: ink,
        textColor1: ink,
        textColor2: ink,
        borderColor: line,
        cardColor: card,
        modalColor: card,
        popoverColor: card,
        borderRadius: "4px",
        fontFamily: '"Instrument Sans Variable", sans-serif',
        placeholderColor: isDark.value ? "#a9b4af" : "#5c6864",
      },
      // Tables lie on the page, not on a card.
      Table: {
        thColor: "transparent",
        tdColor: "transparent",
        borderColor: `${line}66`,
      },
      Alert: { padding: "12px 22px" },
    };
  });
  return { theme, overrides };
}
