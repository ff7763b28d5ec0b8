/** Asks the browser not to throw the store away when space runs short. Says nothing; the Log shows the answer. */
export async function askToPersist(): Promise<boolean> {
  try {
    return (await navigator.storage?.persist?.()) ?? false;
  } catch {
    return false;
  }
}
