/** A fresh id, made here so that a retry is harmless. Works without a secure context too. */
export function newId(): string {
    const bytes = crypto.getRandomValues(new Uint8Array(13));
    return Date.now().toString(36) + Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}
