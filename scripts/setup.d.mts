export const serverEnvironment: Readonly<Record<string, string>>;
