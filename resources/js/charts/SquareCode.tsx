import { create } from 'qrcode';

/** A text as a QR code, drawn as one path; its content must be readable beside it as well. */
export function SquareCode({ name, text }: { name: string; text: string }) {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const quiet = 4;
    const dark = Array.from(modules.data).flatMap((on, i) =>
        on ? [`M${(i % modules.size) + quiet} ${Math.floor(i / modules.size) + quiet}h1v1h-1z`] : [],
    );
    const size = modules.size + 2 * quiet;
    return (
        <svg className="code" viewBox={`0 0 ${size} ${size}`} role="img" aria-label={name}>
            <rect width={size} height={size} fill="#fff" />
            <path d={dark.join('')} fill="#000" shapeRendering="crispEdges" />
        </svg>
    );
}
