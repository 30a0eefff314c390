export default supplierRoutes.remove()
