/**
 * The rules of the faces that have thousands of characters come once the page is at rest; until
 * then such text is drawn with what the machine has, and never as boxes.
 */
export function loadAllFaces(): void {
  if (document.querySelector('link[href="/faces/more.css"]') !== null) return;
  const link = document.createElement('link');
  link.rel = 'stylesheet';
  link.href = '/faces/more.css';
  link.addEventListener('load', () => {
    document.documentElement.dataset['faces'] = 'all';
  });
  document.head.append(link);
}
