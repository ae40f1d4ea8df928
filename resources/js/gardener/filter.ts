/** Lets a reader narrow the year's table to crops whose name holds what is typed. */
export function filterCrops(page: ParentNode) {
    const input = page.querySelector<HTMLInputElement>('#crop');
    const rows = [...page.querySelectorAll<HTMLTableRowElement>('table.calendar tbody tr')];
    const none = page.querySelector<HTMLElement>('.no-crop');
    if (input === null) return;
    input.closest<HTMLElement>('.filter')?.removeAttribute('hidden');
    const narrow = () => {
        const asked = input.value.trim().toLowerCase();
        for (const row of rows) row.hidden = !(row.dataset.name ?? '').includes(asked);
        if (none) none.hidden = rows.some((row) => !row.hidden);
    };
    input.addEventListener('input', narrow);
    // A browser that goes back to the page may have kept what was typed.
    narrow();
}
