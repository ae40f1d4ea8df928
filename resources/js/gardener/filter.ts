/** Lets readers filter the year's table: by a name, a month in which something has to be done, a family, and so on. */
export function filterCrops(page: ParentNode) {
    const form = page.querySelector<HTMLFormElement>('form.filter');
    const rows = [...page.querySelectorAll<HTMLTableRowElement>('table.calendar tbody tr')];
    const none = page.querySelector<HTMLElement>('.no-crop');
    if (form === null) return;
    form.hidden = false;
    const narrow = () => {
        const asked = new FormData(form);
        const is = (name: string) => String(asked.get(name) ?? '').trim();
        const [crop, month, family] = [is('crop').toLowerCase(), is('month'), is('family')];
        for (const row of rows) {
            const { name, months, family: its, cover, quick } = row.dataset;
            row.hidden = !(
                (name ?? '').includes(crop) &&
                (month === '' || (months ?? '').split(' ').includes(month)) &&
                (family === '' || its === family) &&
                (!asked.has('cover') || cover !== undefined) &&
                (!asked.has('quick') || quick !== undefined)
            );
        }
        if (none) none.hidden = rows.some((row) => !row.hidden);
    };
    form.addEventListener('input', narrow);
    form.addEventListener('submit', (event) => event.preventDefault());
    // When it goes back to the page, a browser may have kept what was typed.
    narrow();
}
