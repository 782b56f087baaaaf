/**
 * Puts text on the clipboard; false when the browser does not allow it. Pages on plain-HTTP addresses of a local
 * network have no clipboard API, so a selection is copied there the old way.
 */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return copySelection(text);
  }
}

function copySelection(text: string): boolean {
  const area = document.createElement('textarea');
  area.value = text;
  area.style.position = 'fixed';
  area.style.opacity = '0';
  document.body.append(area);
  area.select();
  try {
    return document.execCommand('copy');
  } catch {
    return false;
  } finally {
    area.remove();
  }
}
