/**
 * Every way in which a request can be wrong: its HTTP status and its sentence.
 * A sentence says what happened, what is safe and what to do; docs/api.md lists the codes.
 */
export const problems = {
  "request-invalid": {
    status: 400,
    say: (p: { field: string; why: string }) =>
      `${p.field}: ${p.why}. Nothing was changed; correct that field and send it again.`,
  },
  "not-found": {
    status: 404,
    say: (p: { what: string; id: string }) =>
      `There is no ${p.what} “${p.id}”: it may have been deleted, or be called otherwise. Nothing was changed; choose one of those that are there.`,
  },
  "placement-unknown": {
    status: 400,
    say: (p: { placement: string }) =>
      `There is no placement “${p.placement}”. Nothing was changed; pick one of those listed at /api/placements.`,
  },
  "carousel-leads-set": {
    status: 400,
    say: () =>
      "A carousel cannot be the model of a set: its slides are a set of their own. Nothing was changed; choose a piece of one slide.",
  },
  "set-too-small": {
    status: 400,
    say: () =>
      "A set takes two pieces or more that are no carousels. Nothing was changed; choose another piece as well.",
  },
  "size-too-large": {
    status: 400,
    say: (p: {
      name: string;
      width: number;
      height: number;
      scale: number;
      most: { width: number; height: number };
    }) =>
      `${p.name} would be ${p.width * p.scale} × ${p.height * p.scale} px, more than can be painted here. Nothing was changed; the largest of its shape is ${p.most.width} × ${p.most.height} px, which a printer enlarges without loss that anybody sees.`,
  },
  "placement-in-use": {
    status: 409,
    say: (p: { name: string; piece: string }) =>
      `${p.name} is a size of “${p.piece}” and perhaps of others. Nothing was deleted; take it out of those pieces first, or retire it: then it is no longer offered and they keep it.`,
  },
  "folder-in-use": {
    status: 409,
    say: (p: { folder: string }) =>
      `Another Zest Crate is at work in ${p.folder}. Nothing was touched; use the one that is running, stop it first, or choose another folder: npm start -- --data FOLDER`,
  },
  "store-damaged": {
    status: 500,
    say: (p: { file: string }) =>
      `${p.file} is damaged, so that it cannot be trusted. It was left as it is; put a copy from before in its place, or move its folder aside and begin anew.`,
  },
  "store-foreign": {
    status: 500,
    say: (p: { file: string }) =>
      `${p.file} is the database of another program. It was left as it is; choose another folder: npm start -- --data FOLDER`,
  },
  "store-newer": {
    status: 500,
    say: (p: { file: string }) =>
      `${p.file} was written by a newer Zest Crate than this one. It was left as it is; start the newer one, or choose another folder: npm start -- --data FOLDER`,
  },
  "store-empty": {
    status: 500,
    say: (p: { folder: string }) =>
      `${p.folder} holds stored files, but its database is missing or empty. Nothing was changed; put zest.db back from a copy, or move the folder aside and begin anew.`,
  },
  "name-unsafe": {
    status: 400,
    say: (p: { name: string }) =>
      `“${p.name}” cannot be part of a file's name. Nothing was written; give that document or placement an id of letters, digits and hyphens.`,
  },
  "document-newer": {
    status: 400,
    say: (p: { document: string; version: number; known: number }) =>
      `${p.document} is written in version ${p.version} of the format and this program reads up to version ${p.known}. The file is untouched; update Zest Crate, or export the file in version ${p.known}.`,
  },
  "document-invalid": {
    status: 400,
    say: (p: { document: string; field: string; why: string }) =>
      `${p.document} cannot be read at ${p.field}: ${p.why}. Nothing was imported; correct that field and try again.`,
  },
  "file-missing": {
    status: 400,
    say: (p: { document: string; file: string }) =>
      `${p.document} uses the file ${p.file.slice(0, 12)}…, which is not there. Nothing was imported; add that file and try again.`,
  },
  "archive-unreadable": {
    status: 400,
    say: (p: { name: string; why: string }) =>
      `${p.name} cannot be opened as a zip: ${p.why}. Nothing was imported; export it again and retry.`,
  },
  "picture-unreadable": {
    status: 415,
    say: (p: { name: string }) =>
      `${p.name} is not a picture that can be read (JPEG, PNG, WebP, AVIF, GIF, TIFF or SVG). The picture you had is still in place; choose another file.`,
  },
  "picture-truncated": {
    status: 422,
    say: (p: { name: string }) =>
      `${p.name} breaks off before its end, so part of it is missing. The picture you had is still in place; copy the file again from where it came.`,
  },
  "picture-too-large": {
    status: 413,
    say: (p: { name: string; width: number; height: number; most: number }) =>
      `${p.name} is ${p.width} × ${p.height} px; a side may be at most ${p.most} px. The picture you had is still in place; make a smaller copy and use that.`,
  },
  "picture-too-many-pixels": {
    status: 413,
    say: (p: { name: string; width: number; height: number; most: number }) =>
      `${p.name} is ${p.width} × ${p.height} px; ${p.most / 1_000_000} million pixels are the most that is read. The picture you had is still in place; make a smaller copy and use that.`,
  },
  "file-too-much": {
    status: 413,
    say: (p: { name: string }) =>
      `${p.name} takes more time or memory to read than any file that could be used. Nothing was stored and nothing else was held up; save it again, smaller or simpler.`,
  },
  "picture-unsafe": {
    status: 422,
    say: (p: { name: string; found: string }) =>
      `${p.name} holds ${p.found}, which a picture has no need of. It was not stored; save it again as a plain SVG, or as PNG.`,
  },
  "svg-text": {
    status: 422,
    say: (p: { name: string }) =>
      `${p.name} holds words as text, which come out in another typeface on each machine. It was not stored; turn the words into outlines where it was drawn, and save it again.`,
  },
  "svg-too-complex": {
    status: 413,
    say: (p: { name: string; elements: number; most: number }) =>
      `${p.name} has ${p.elements.toLocaleString("en")} elements; at most ${p.most.toLocaleString("en")} are painted in good time. It was not stored; simplify it where it was drawn, or save it as PNG.`,
  },
  "font-unreadable": {
    status: 422,
    say: (p: { name: string; why: string }) =>
      `${p.name} cannot be used as a font: ${p.why}. Nothing was stored; choose a TTF, OTF, WOFF, WOFF2 or collection file with outlines.`,
  },
  "brand-conflict": {
    status: 409,
    say: (p: { name: string }) =>
      `${p.name} was changed in another window meanwhile. Your changes are still on this page and nothing is lost; open the kit again to see the others', and make yours on top.`,
  },
  "brand-incomplete": {
    status: 400,
    say: (p: { what: string }) =>
      `${p.what} Nothing was stored; what you have set up is still on the page.`,
  },
  "brand-locked": {
    status: 403,
    say: (p: { name: string }) =>
      `${p.name} is locked, and this is not its key. The kit is as it was and your changes are still on the page; ask whoever locked it.`,
  },
  "brand-in-use": {
    status: 409,
    say: (p: { name: string; uses: string }) =>
      `${p.name} is the brand of ${p.uses}. Nothing was deleted; choose the brand that they get instead.`,
  },
  "logo-impossible": {
    status: 422,
    say: (p: { name: string; why: string }) =>
      `${p.name}: ${p.why}. The logo is as it was; use a file with a transparent ground.`,
  },
  "file-too-large": {
    status: 413,
    say: (p: { most: string }) =>
      `The file is larger than ${p.most}. Nothing was stored; make it smaller and try again.`,
  },
  "file-empty": {
    status: 400,
    say: (p: { name: string }) =>
      `${p.name} is empty: it has no bytes at all. Nothing was stored; copy it again from where it came.`,
  },
  "uploads-many": {
    status: 429,
    say: () =>
      "Too many files are coming in at once. Nothing of this one was stored; send it again when the others are through.",
  },
  "requests-many": {
    status: 429,
    say: () => "Too many requests in a short time. Nothing was changed; go on in a minute.",
  },
  "text-too-long": {
    status: 400,
    say: (p: { slot: string; length: number; most: number }) =>
      `${p.slot} has ${p.length} characters; a slot holds at most ${p.most}. What was there before is kept; shorten the text.`,
  },
  "edit-conflict": {
    status: 409,
    say: (p: { what: string; theirs: string }) =>
      `${p.what} was changed in another window to “${p.theirs}”. Both wordings are kept; choose which one stays.`,
  },
  "step-overtaken": {
    status: 409,
    say: (p: { what: string }) =>
      `It was “${p.what}”, and someone else has changed the same since. Nothing was changed; change it by hand, or leave it.`,
  },
  "edit-impossible": {
    status: 400,
    say: (p: { why: string }) => `${p.why} Nothing was changed.`,
  },
  "table-empty": {
    status: 400,
    say: () =>
      "The table has no rows under its headings, so there is nothing to make. Add a row for each variation.",
  },
  "table-unreadable": {
    status: 400,
    say: (p: { name: string; why: string }) =>
      `${p.name} cannot be read as a table: ${p.why}. Save it as CSV (UTF-8) or XLSX and try again.`,
  },
  "article-unreadable": {
    status: 400,
    say: (p: { name: string; why: string }) =>
      `${p.name} cannot be cut into slides: ${p.why}. Nothing was changed; paste its text, or try another file.`,
  },
  "table-no-slot": {
    status: 400,
    say: (p: { columns: string; slots: string }) =>
      `None of the columns (${p.columns}) names a slot of this piece. Name the headings after slots: ${p.slots}.`,
  },
  "results-no-names": {
    status: 400,
    say: (p: { example: string }) =>
      `No row names a variation of this batch. One column needs their names, such as ${p.example}, or the names of the delivered files. Nothing was changed.`,
  },
  "results-no-counts": {
    status: 400,
    say: (p: { columns: string }) =>
      `Nothing can be counted in the columns ${p.columns}. One needs how often each was shown (impressions), one how often it was acted on (clicks or saves). Choose them by their headings; nothing was changed.`,
  },
  "batch-too-many": {
    status: 400,
    say: (p: { count: number; most: number }) =>
      `That makes ${p.count} files; one batch makes at most ${p.most}. Nothing was started; use fewer rows, pictures or sizes.`,
  },
  "batch-under-way": {
    status: 409,
    say: () =>
      "This batch is still being made. Nothing was changed; wait until it is done, or stop it first.",
  },
  "batch-empty": {
    status: 400,
    say: () => "That makes no file. Choose at least one row and one size.",
  },
  "picture-in-use": {
    status: 409,
    say: (p: { name: string; uses: string }) =>
      `${p.name} is shown in ${p.uses}. Nothing was deleted; put another picture there first.`,
  },
  "backup-nothing": {
    status: 400,
    say: (p: { folder: string }) =>
      `There is no data in ${p.folder}, so there is nothing to back up. Name the folder that the program works in: --data FOLDER`,
  },
  "backup-unfit": {
    status: 400,
    say: (p: { name: string; why: string }) =>
      `${p.name} is no whole backup: ${p.why}. Nothing was replaced; what you have is as it was. Take another backup.`,
  },
  "job-ends-program": {
    status: 500,
    say: (p: { times: number }) =>
      `The program has ended ${p.times} times while this was being made, so it is not started again by itself. What was made before is still there; try once more, or make it with fewer files.`,
  },
  "delivery-empty": {
    status: 400,
    say: () => "Nothing is chosen. Choose at least one size, or a batch with finished variations.",
  },
  "pattern-invalid": {
    status: 400,
    say: (p: { part: string; known: string }) =>
      `The name pattern uses {${p.part}}, which is not known. Use ${p.known}.`,
  },
  "origin-refused": {
    status: 403,
    say: () =>
      "This request came from another site and was refused. Nothing was changed; use the application's own page.",
  },
  "store-full": {
    status: 507,
    say: () =>
      "The disk is full, so this could not be saved. What was saved before is safe; free some space and try again.",
  },
  unexpected: {
    status: 500,
    say: () =>
      "Something went wrong in the program. What was saved before is safe; try again, and look at the server's output if it stays.",
  },
} as const;
