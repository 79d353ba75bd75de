export const BROWSER: { executablePath: string; args: string[] }
