export const BUDGET_KB: number;
export function firstLoads(root: string): { name: string; files: string[]; kb: number }[];
