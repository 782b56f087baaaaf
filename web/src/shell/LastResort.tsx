/** Stands where even the frame of the page broke: plain, so that nothing it needs can be what broke. */
export const LastResort = () => (
  <main style={{ maxWidth: 620, padding: '60px 24px', font: '18px sans-serif' }}>
    <title>Something broke · Steady Scatter</title>
    <h1 style={{ font: 'bold 26px sans-serif', marginBottom: 10 }}>This page broke</h1>
    <p style={{ marginBottom: 22 }}>
      What you typed is held in this browser. Load the page again to go on from there.
    </p>
    <button type="button" style={{ font: 'inherit', minHeight: 48, padding: '0 18px', border: '1px solid' }} onClick={() => window.location.reload()}>
      Load again
    </button>
  </main>
); // prettier-ignore
