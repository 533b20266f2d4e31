-- The line of each job in the list is stored with it, so that listing plans
-- nothing. line_of names the program and the shop that made it; a line of another
-- one is made anew.
-- +goose Up
ALTER TABLE jobs ADD COLUMN line TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(line));
ALTER TABLE jobs ADD COLUMN line_of TEXT NOT NULL DEFAULT '';

-- A body that was changed without a save, by a repair say, has no line that holds.
-- +goose StatementBegin
CREATE TRIGGER jobs_body_without_version AFTER UPDATE OF body ON jobs
WHEN NEW.version = OLD.version
BEGIN
    UPDATE jobs SET line_of = '' WHERE id = NEW.id;
END;
-- +goose StatementEnd
