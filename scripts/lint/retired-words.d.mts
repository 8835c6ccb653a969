type Found = { word: string; say: string };
export function retiredIn(name: string): Found | null;
export function retiredInComment(text: string): Found | null;
declare const plugin: { rules: Record<string, unknown> };
export default plugin;
