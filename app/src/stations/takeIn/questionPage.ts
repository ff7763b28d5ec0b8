import { ANSWERS_FORMAT, ANSWERS_VERSION } from '@loose-pulley/core/views/remoteIntake';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { escaped } from '../../parts/ui/escaped';
import type { QuestionSheet } from '@loose-pulley/core/record/stations';

/** Data for a script on the page: nothing in it can end the script. */
const scripted = (value: unknown): string => JSON.stringify(value).replace(/</g, '\\u003c');

const STYLE = `body{font:18px/1.5 system-ui,sans-serif;max-width:40em;margin:1.5em auto;padding:0 1em;color:#1d1f1e;background:#fff}
h1{font-size:1.4em;border-bottom:2px solid}li{margin:0 0 1.6em}label{display:block;color:#555;font-size:.85em;margin-top:.4em}
textarea{width:100%;box-sizing:border-box;font:inherit;padding:.4em}button,input{font:inherit;min-height:44px}
.caution{border-left:4px solid #b3261e;padding-left:.8em}img{max-width:9em;max-height:7em;margin:.4em .4em 0 0;border:1px solid #bbb}
button{background:#1d1f1e;color:#fff;border:0;padding:.5em 1.2em}`;

/** What runs on the page. It fetches nothing and sends nothing: the answers are saved as a file on the owner's machine. */
const SCRIPT = `
const taken = new Map();
const said = document.getElementById('said');
async function scaled(file) {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, 1600 / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  canvas.getContext('2d').drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', 0.85);
}
for (const field of document.querySelectorAll('input[type=file]')) {
  field.addEventListener('change', async () => {
    const shown = field.parentElement.querySelector('.shown');
    for (const file of field.files) {
      try {
        const url = await scaled(file);
        taken.set(field.name, [...(taken.get(field.name) ?? []), url].slice(0, 8));
        const image = document.createElement('img');
        image.src = url;
        image.alt = file.name;
        shown.append(image);
        said.textContent = '';
      } catch {
        said.textContent = file.name + ' cannot be read here. Set the camera to JPEG, or take a picture of the screen that shows it.';
      }
    }
    field.value = '';
  });
}
document.getElementById('save').addEventListener('click', () => {
  const answers = SHEET.questions.map(({ id }) => ({
    id,
    text: document.getElementById('a-' + id).value,
    pictures: taken.get(id) ?? [],
  }));
  const file = { format: SHEET.format, version: SHEET.version, sheetId: SHEET.sheetId, ticket: SHEET.ticket, answers };
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([JSON.stringify(file)], { type: 'application/json' }));
  link.download = 'answers-' + SHEET.ticket + '.json';
  link.click();
  said.textContent = 'Saved as ' + link.download + '. Please send that file back.';
});`;

/**
 * The questions as one page for an owner far away: it opens by itself in any browser, takes answers and pictures, and
 * saves them as one file to send back.
 *
 * @returns HTML; nothing is fetched by it
 */
export function questionPage(ticket: Pick<Ticket, 'number' | 'machine'>, sheet: QuestionSheet): string {
  const title = `${ticket.machine || 'Your machine'}, ticket ${ticket.number}`;
  const data = {
    format: ANSWERS_FORMAT,
    version: ANSWERS_VERSION,
    sheetId: sheet.id,
    ticket: ticket.number,
    questions: sheet.questions.map(({ id }) => ({ id })),
  };
  const items = sheet.questions
    .map(
      ({ id, text }) => `<li><strong>${escaped(text)}</strong>
<label for="a-${escaped(id)}">Your answer</label><textarea id="a-${escaped(id)}" rows="2" maxlength="4000"></textarea>
<label>Pictures, if they help <input type="file" name="${escaped(id)}" accept="image/*" multiple><span class="shown"></span></label></li>`,
    )
    .join('\n');
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title><style>${STYLE}</style></head>
<body><h1>${escaped(title)}</h1>
<p>A few questions, and small tests to do in their order. Leave out what you cannot do. Your answers stay on your machine until you send the file that the last button saves.</p>
<p class="caution">Please do not open it: there is mains inside, and a laser. Pull the plug before tipping it. Keep fingers out of whatever moves. Stop if it smells or gets hot.</p>
<ol>
${items}
</ol>
<p><button id="save" type="button">Save my answers</button></p>
<p id="said" role="status"></p>
<script>const SHEET = ${scripted(data)};${SCRIPT}</script>
</body></html>
`;
}
