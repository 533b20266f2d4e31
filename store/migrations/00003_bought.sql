-- A bought envelope may be a job's own: what it is cut down from is the same field, and
-- a job that began with an envelope has that one.
-- +goose Up
UPDATE jobs SET body = json_set(json_remove(body, '$.envelope.cutFrom'), '$.envelope.from', json_extract(body, '$.envelope.cutFrom'))
WHERE json_extract(body, '$.envelope.cutFrom') IS NOT NULL;

UPDATE jobs SET body = json_set(body, '$.envelope.construction', 'bought', '$.envelope.from', json_extract(body, '$.start.format'),
    '$.envelope.ownWidth', json_extract(body, '$.start.width'), '$.envelope.ownHeight', json_extract(body, '$.start.height'))
WHERE json_extract(body, '$.start.format') IS NOT NULL;
