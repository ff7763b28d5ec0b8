import { createRoot } from 'react-dom/client';

/* The reference of the bench: React and nothing else, on the same machine. */
createRoot(document.getElementById('root')).render(<h1 id="usable">Bare</h1>);
