-- A recipe names the form that its note comes in.
-- +goose Up
UPDATE jobs SET body = json_remove(json_set(body, '$.recipe.form',
    CASE WHEN json_extract(body, '$.recipe.pocket') THEN 'pocket' WHEN json_extract(body, '$.recipe.paired') THEN 'pair' ELSE 'corners' END),
    '$.recipe.paired', '$.recipe.pocket')
WHERE json_extract(body, '$.recipe.side1') IS NOT NULL;
