/** Blades typed one after another: 0.10 0.15; 0.20. */
export const typedBlades = (text: string): string[] => text.split(/[\s;]+/).filter(Boolean)
