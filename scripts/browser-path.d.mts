export declare const SHELL: string;
export declare const CHROMIUM: string;
export declare const browserPath: () => string;
