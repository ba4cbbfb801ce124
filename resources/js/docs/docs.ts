import 'swagger-ui-dist/swagger-ui.css';
import SwaggerUI from 'swagger-ui-dist/swagger-ui-es-bundle.js';

// The contract as it is kept, with what it refers to; each request can be tried on this very shop.
SwaggerUI({
    dom_id: '#docs',
    url: '/api/contract.json',
    docExpansion: 'list',
    defaultModelsExpandDepth: -1,
    validatorUrl: null,
    deepLinking: true,
});
