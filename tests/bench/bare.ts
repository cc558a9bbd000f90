import type { Page } from '@playwright/test';

/** The floor: as many plain cells as the table has in sight, put in its place and painted. */
export function repaint(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const frame = () => new Promise(requestAnimationFrame);
    const cells = document.querySelectorAll('.table [role=cell]').length;
    const box = document.createElement('div');
    box.style.cssText = 'position:fixed;inset:0;z-index:99;display:grid;grid-template-columns:repeat(12,1fr)';
    await frame();
    const start = performance.now();
    box.innerHTML = Array.from({ length: cells }, (_, at) => `<div>${at} cell</div>`).join('');
    document.body.append(box);
    await frame();
    await frame();
    const took = performance.now() - start;
    box.remove();
    await frame();
    return took;
  });
}
