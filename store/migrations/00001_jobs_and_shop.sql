-- +goose Up
CREATE TABLE shop (
    id      INTEGER PRIMARY KEY CHECK (id = 1),
    version INTEGER NOT NULL CHECK (version > 0),
    body    TEXT NOT NULL CHECK (json_valid(body)),
    changed TEXT NOT NULL
) STRICT;

CREATE TABLE jobs (
    id      TEXT PRIMARY KEY CHECK (length(id) = 16),
    place   INTEGER NOT NULL,
    version INTEGER NOT NULL CHECK (version > 0),
    name    TEXT NOT NULL,
    body    TEXT NOT NULL CHECK (json_valid(body)),
    created TEXT NOT NULL,
    changed TEXT NOT NULL,
    removed TEXT
) STRICT;

CREATE INDEX jobs_by_place ON jobs (place) WHERE removed IS NULL;
