-- How far the maker is at the bench: the step that is done, by the job. It is told to every
-- window that shows the job's steps; it is no part of the job, nor of its history.
-- +goose Up
CREATE TABLE progress (
    job     TEXT PRIMARY KEY REFERENCES jobs (id) ON DELETE CASCADE,
    step    INTEGER NOT NULL CHECK (step >= 0),
    changed TEXT NOT NULL
) STRICT;
