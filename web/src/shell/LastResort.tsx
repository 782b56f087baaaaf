import { say } from '@steady-scatter/words/shell';
/** Stands where even the frame of the page broke: plain, so that nothing it needs can be what broke. */
export const LastResort = () => (
  <main style={{ maxWidth: 620, padding: '60px 24px', font: '18px sans-serif' }}>
    <title>{say('shell.brokeTitle')}</title>
    <h1 style={{ font: 'bold 26px sans-serif', marginBottom: 10 }}>{say('shell.pageBroke')}</h1>
    <p style={{ marginBottom: 22 }}>{say('shell.brokeGoOn')}</p>
    <button type="button" style={{ font: 'inherit', minHeight: 48, padding: '0 18px', border: '1px solid' }} onClick={() => window.location.reload()}>{say('shell.loadAgain')}</button>
  </main>
); // prettier-ignore
