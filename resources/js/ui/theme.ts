import { createTheme, type MantineColorsTuple } from '@mantine/core';

const leaf: MantineColorsTuple = [
    '#eef5f1',
    '#dbe8e1',
    '#b3d0c1',
    '#88b89f',
    '#65a382',
    '#4e966f',
    '#3f8561',
    '#2f6b4f',
    '#265841',
    '#1b4533',
];

/** Square corners, hairlines, no shadows; the roles of the colors are in paper.css. */
export const theme = createTheme({
    fontFamily: 'var(--sans)',
    headings: { fontFamily: 'var(--serif)', fontWeight: '650' },
    colors: { leaf },
    primaryColor: 'leaf',
    // White text on it is readable in light and dark.
    primaryShade: 7,
    defaultRadius: 0,
    shadows: { xs: 'none', sm: 'none', md: 'none', lg: 'none', xl: 'none' },
    cursorType: 'pointer',
    components: {
        Button: { defaultProps: { size: 'sm' } },
        // The page has its banner; the head of a dialog is not one.
        ModalHeader: { defaultProps: { role: 'presentation' } },
        Modal: { styles: { content: { border: '1px solid var(--ink)' } } },
    },
});
