export const serverEnvironment: Readonly<Record<string, string>>;
export const chromium: Readonly<{ package: string; wanted: string; path: string }>;
export const wholeChromium: string;
