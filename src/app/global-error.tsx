'use client';

/** The last resort: even what stands round all rooms fell over. Nothing of the theme can be counted on here. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en-GB">
      <body style={{ fontFamily: 'sans-serif', background: '#B9B7B3', color: '#25232A', padding: '4rem' }}>
        <main
          role="alert"
          style={{ maxWidth: '34rem', background: '#FBFAF7', padding: '2rem', borderRadius: 12 }}
        >
          <h1 style={{ fontSize: '1.4rem' }}>Bellagraph could not be shown</h1>
          <p>The program has a fault. Your projects are kept in this browser; nothing of them was changed.</p>
          <button type="button" onClick={reset} style={{ font: 'inherit', padding: '0.6rem 1rem' }}>
            Try again
          </button>
        </main>
      </body>
    </html>
  );
}
