-- Each job and the shop carry a seal of what was stored, so that a byte that the disk lost
-- is noticed. Whoever changes a row without raising its version, a migration or a repair by
-- hand, breaks it; the next start seals the row anew.
-- +goose Up
ALTER TABLE jobs ADD COLUMN seal TEXT NOT NULL DEFAULT '';
ALTER TABLE shop ADD COLUMN seal TEXT NOT NULL DEFAULT '';

-- The states that a job had, by its versions. The body is compressed JSON in the form that
-- jobs had then: a later program brings it up to date as it does a file of that form. How
-- says what was done where the states themselves do not: edited, restored, read in.
CREATE TABLE history (
    job     TEXT NOT NULL REFERENCES jobs (id),
    version INTEGER NOT NULL CHECK (version > 0),
    changed TEXT NOT NULL,
    how     TEXT NOT NULL,
    form    INTEGER NOT NULL DEFAULT 7,
    body    BLOB NOT NULL,
    UNIQUE (job, version)
) STRICT;

DROP TRIGGER jobs_body_without_version;
-- +goose StatementBegin
CREATE TRIGGER jobs_without_version AFTER UPDATE OF place, name, body, created, changed, removed, archived ON jobs
WHEN NEW.version = OLD.version
BEGIN
    UPDATE jobs SET line_of = '', seal = '' WHERE id = NEW.id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER shop_without_version AFTER UPDATE OF body, changed ON shop
WHEN NEW.version = OLD.version
BEGIN
    UPDATE shop SET seal = '' WHERE id = NEW.id;
END;
-- +goose StatementEnd

-- The next place, and whether one is taken, is asked of removed jobs, too.
CREATE INDEX jobs_by_any_place ON jobs (place);
