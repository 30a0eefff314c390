export default supplierRoutes.put()
