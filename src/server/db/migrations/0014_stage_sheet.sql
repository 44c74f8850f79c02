-- The stage at which a page is read is called by what it is on the desk: a sheet.
UPDATE "commands" SET "stage" = 'sheet' WHERE "stage" = 'page';
