export const LIMITS = {
  text: 2000,
  alternatives: 12,
  title: 120,
  nodes: 200,
  sizes: 60,
  slides: 40,
  tried: 24,
} as const;
