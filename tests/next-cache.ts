/** Stands in for next/cache, which needs a running server. */
export const refresh = (): void => undefined;
export const revalidatePath = (): void => undefined;
